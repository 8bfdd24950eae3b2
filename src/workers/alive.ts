import { newId } from '@/core/document/id'

/** What a worker tells of itself when it starts. */
export interface Alive {
  lock: string
}
export const isAlive = (data: unknown): data is Alive =>
  typeof (data as Alive | null)?.lock === 'string' && (data as Alive).lock.startsWith(PREFIX)

const PREFIX = 'dusk-worker:'

/**
 * Holds a lock for as long as this worker lives. A worker that is closed, or that the browser ends for want of memory, says
 * nothing; its lock comes free. Without a secure context there are no locks, and such an end goes unnoticed.
 */
export function tellAlive(): void {
  const lock = PREFIX + newId()
  void navigator.locks?.request(lock, () => {
    postMessage({ lock } satisfies Alive)
    return new Promise(() => {})
  })
}
