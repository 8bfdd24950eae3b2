import equal from 'fast-deep-equal'
import { applyPatches, enablePatches, type Patch, produceWithPatches } from 'immer'
import type { Job, LogEntry } from './job'

enablePatches()

/** A small edit of a job by name; what it does is recorded as patches, so that it has an inverse. */
export interface Command {
  /** What happened, as the history shows it: "Lead of X". */
  label: string
  /** Edits with the same key that follow each other are taken back in one go. */
  mergeKey?: string
  run: (job: Job) => void
  /** A line for the log. */
  entry?: Pick<LogEntry, 'axisId' | 'kind' | 'text'> & Partial<Pick<LogEntry, 'closes'>>
  /** Lines of the log that this edit deletes. */
  hides?: string[]
}

/** One change of the history: plain data, with what does it and what takes it back. */
export interface Change {
  id: string
  jobId: string
  at: string
  label: string
  mergeKey: string | null
  patches: Patch[]
  inverse: Patch[]
  /** Log lines that came with it, and those that it deleted. */
  shows: string[]
  hides: string[]
  undone: boolean
}

/**
 * Runs a command on a job.
 *
 * @returns the new job, the change for the history, and the line for the log; the job given stays as it was
 */
export function runCommand(
  job: Job,
  command: Command,
  stamp: { id: string; at: string },
): { job: Job; change: Change; entry: LogEntry | null } {
  const [next, patches, inverse] = produceWithPatches(job, draft => {
    command.run(draft)
  })
  const entry = command.entry
    ? { id: `${stamp.id}e`, jobId: job.id, at: stamp.at, closes: null, hidden: false, ...command.entry }
    : null
  return {
    job: next,
    entry,
    change: {
      ...stamp,
      jobId: job.id,
      label: command.label,
      mergeKey: command.mergeKey ?? null,
      patches,
      inverse,
      shows: entry ? [entry.id] : [],
      hides: command.hides ?? [],
      undone: false,
    },
  }
}

/** Whether a change does anything at all. */
export const isEmptyChange = (change: Change): boolean =>
  change.patches.length === 0 && change.shows.length === 0 && change.hides.length === 0

/**
 * Whether the values that a change replaces still stand in a job, so that nothing newer is overwritten.
 *
 * Going forth and back from the present job must leave it as it is; it does not when the change would put
 * back an older value than the one that stands there now.
 */
export function stillApplies(job: Job, change: Pick<Change, 'inverse' | 'patches'>): boolean {
  try {
    return equal(takeBack(applyChange(job, change), change), job)
  } catch {
    return false
  }
}

export const applyChange = (job: Job, change: Pick<Change, 'patches'>): Job =>
  applyPatches(job, change.patches)
export const takeBack = (job: Job, change: Pick<Change, 'inverse'>): Job => applyPatches(job, change.inverse)

/** Joins a change to the one before it when both are one act of typing. */
export function mergeChanges(before: Change, after: Change): Change {
  const [first, ...more] = before.patches
  const sameField =
    more.length === 0 && after.patches.length === 1 && equal(first?.path, after.patches[0]?.path)
  return {
    ...after,
    patches: sameField ? after.patches : [...before.patches, ...after.patches],
    inverse: sameField ? before.inverse : [...after.inverse, ...before.inverse],
    shows: [...before.shows, ...after.shows],
    hides: [...before.hides, ...after.hides],
  }
}
