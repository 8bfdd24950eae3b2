import type { Change } from '@/core/document/edit'
import { newId } from '@/core/document/id'
import type { LogEntry } from '@/core/document/job'

/** A change on its way into the database. */
export interface Pending {
  change: Change
  /** Lines of the log that come with it: those of every edit that was joined to it. */
  entries: LogEntry[]
  /** The version of the document that the change was made on. */
  version: number
}

const PREFIX = 'dusk-journal:'
const tab = newId()
const key = PREFIX + tab

/** Not everywhere: a page from another machine of the shop has no secure context, and no locks with it. */
const locks = typeof navigator === 'undefined' ? undefined : navigator.locks

// Held while this tab lives, so that another one does not take over what it is about to save.
void locks?.request(key, () => new Promise(() => {}))

/**
 * Notes what is not saved yet where a closing tab cannot lose it: local storage is written at once, while a
 * database transaction dies with its tab.
 */
export function writeJournal(pending: Pending[]): void {
  try {
    if (pending.length) localStorage.setItem(key, JSON.stringify(pending))
    else localStorage.removeItem(key)
  } catch {
    // Full or blocked: the database's own failure is what the builder is told about.
  }
}

/** Takes over what tabs left behind that were closed before they could save. */
export async function takeLeftovers(): Promise<Pending[]> {
  try {
    const alive = new Set((await locks?.query())?.held?.map(lock => lock.name))
    const left = Object.keys(localStorage).filter(
      name => name.startsWith(PREFIX) && name !== key && !alive.has(name),
    )
    return left.flatMap(name => {
      const text = localStorage.getItem(name) ?? '[]'
      localStorage.removeItem(name)
      return readPending(text)
    })
  } catch {
    return []
  }
}

function readPending(text: string): Pending[] {
  try {
    const left = JSON.parse(text) as (Pending & { entry?: LogEntry | null })[]
    // Up to version 3 there was one line at the most, and no version beside it.
    return left.map(({ change, entries, entry, version = 3 }) => ({
      change,
      entries: entries ?? (entry ? [entry] : []),
      version,
    }))
  } catch {
    return []
  }
}
