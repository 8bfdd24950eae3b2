import type { Change } from '@/core/document/edit'

// Apart from what saves: whoever says what went wrong needs no more of it.

/** A change that would put back an older value than the one that another tab has saved since. */
export class ConflictError extends Error {
  override name = 'ConflictError'
  constructor(readonly change: Change) {
    super(`Another tab saved something else first: ${change.label}.`)
  }
}

/** The job was deleted, here or in another tab. */
export class JobGoneError extends Error {
  override name = 'JobGoneError'
}
