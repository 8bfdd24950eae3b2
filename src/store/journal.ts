import type { Change } from '@/core/document/edit'
import { newId } from '@/core/document/id'
import type { LogEntry } from '@/core/document/job'

/** A change on its way into the database. */
export interface Pending {
  change: Change
  /** Every change that was joined to it while it waited, by its id; the database knows each of them again. */
  ids: string[]
  /** Lines of the log that come with it: those of every edit that was joined to it. */
  entries: LogEntry[]
  /** The version of the document that the change was made on. */
  version: number
}

/** What a tab that is gone had not saved of a job. */
export interface Leftover {
  /** The key under which it is kept. */
  key: string
  jobId: string
  pending: Pending[]
}

const PREFIX = 'dusk-journal:'
const tab = newId()
const keyOf = (jobId: string, of = tab) => `${PREFIX}${of}:${jobId}`
const tabOf = (key: string) => key.slice(PREFIX.length).split(':')[0] ?? ''

/** Not everywhere: a page from another machine of the shop has no secure context, and no locks with it. */
const locks = typeof navigator === 'undefined' ? undefined : navigator.locks

// Held while this tab lives, so that another one does not take over what it is about to save.
void locks?.request(PREFIX + tab, () => new Promise(() => {}))

/**
 * Notes what is not saved yet of a job where a closing tab cannot lose it: local storage is written at once, while a
 * database transaction dies with its tab.
 */
export function writeJournal(jobId: string, pending: readonly Pending[]): void {
  try {
    if (pending.length) localStorage.setItem(keyOf(jobId), JSON.stringify(pending))
    else localStorage.removeItem(keyOf(jobId))
  } catch {
    // Full or blocked: the database's own failure is what the builder is told about.
  }
}

/**
 * Takes over what was left behind of a job: by tabs that were closed before they could save, and by this one before it went
 * elsewhere. It stands in this tab's journal before it goes from the other, so that it is never in neither.
 */
export async function takeLeftovers(jobId: string): Promise<Pending[]> {
  try {
    const left = (await leftovers()).filter(one => one.jobId === jobId)
    const own = readPending(localStorage.getItem(keyOf(jobId)) ?? '[]')
    const all = [...left.flatMap(({ pending }) => pending), ...own]
    if (left.length > 0) {
      localStorage.setItem(keyOf(jobId), JSON.stringify(all))
      for (const { key } of left) localStorage.removeItem(key)
    }
    return all
  } catch {
    return []
  }
}

/** What every tab that is gone had not saved, job by job. */
export async function leftovers(): Promise<Leftover[]> {
  try {
    const alive = new Set((await locks?.query())?.held?.map(({ name }) => name))
    alive.add(PREFIX + tab)
    return Object.keys(localStorage)
      .filter(key => key.startsWith(PREFIX) && !alive.has(PREFIX + tabOf(key)))
      .flatMap(sorted)
  } catch {
    return []
  }
}

/** Throws away what was left behind, once it was answered. */
export function dropLeftover(key: string): void {
  localStorage.removeItem(key)
}

/**
 * Tells when a tab that lives now, and has something of this job that is not saved, is gone.
 *
 * @returns what ends the watch
 */
export function watchTabs(jobId: string, gone: () => void): () => void {
  const watch = new AbortController()
  try {
    for (const key of Object.keys(localStorage))
      if (key.startsWith(PREFIX) && key.endsWith(`:${jobId}`) && tabOf(key) !== tab)
        void locks
          ?.request(PREFIX + tabOf(key), { signal: watch.signal }, () => {})
          .then(gone, () => undefined)
  } catch {
    // Without storage there is nothing to be left behind.
  }
  return () => watch.abort()
}

/** The leftover under a key. Up to version 7 a tab kept what it had of all its jobs under one: each gets its own. */
function sorted(key: string): Leftover[] {
  const pending = readPending(localStorage.getItem(key) ?? '[]')
  const jobs = [...new Set(pending.map(({ change }) => change.jobId))]
  if (jobs.length === 1 && key === keyOf(jobs[0] as string, tabOf(key)))
    return [{ key, jobId: jobs[0] as string, pending }]
  const split = jobs.map(jobId => ({
    key: keyOf(jobId, tabOf(key)),
    jobId,
    pending: pending.filter(({ change }) => change.jobId === jobId),
  }))
  for (const one of split) localStorage.setItem(one.key, JSON.stringify(one.pending))
  // What cannot be read at all is put away with it.
  if (!split.some(one => one.key === key)) localStorage.removeItem(key)
  return split
}

function readPending(text: string): Pending[] {
  try {
    const left = JSON.parse(text) as (Omit<Pending, 'ids'> & { ids?: string[]; entry?: LogEntry | null })[]
    // Up to version 3 there was one line at the most, and no version beside it.
    return left.map(({ change, ids, entries, entry, version = 3 }) => ({
      change,
      ids: ids ?? [change.id],
      entries: entries ?? (entry ? [entry] : []),
      version,
    }))
  } catch {
    return []
  }
}
