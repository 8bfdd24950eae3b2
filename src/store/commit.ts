import { Dexie } from 'dexie'
import {
  applyChange,
  type Change,
  mergeChanges,
  stillApplies,
  takeBack,
  undoingChange,
} from '@/core/document/edit'
import type { Job, LogEntry } from '@/core/document/job'
import { doubtSupports } from '@/core/sheets/shared/steps/supports'
import { ConflictError, JobGoneError } from './conflict'
import { type DuskDatabase, type HistoryRow, historyOf, isPresent, type JobRow, present } from './database'

/** So many changes are known again; a journal never lags behind by more. */
const MOST_SEEN = 500

const inOne = <T>(db: DuskDatabase, work: () => Promise<T>): Promise<T> =>
  db.transaction('rw', db.jobs, db.history, db.entries, work)

async function rowOf(db: DuskDatabase, jobId: string): Promise<JobRow> {
  const row = await db.jobs.get(jobId)
  if (!row || row.deletedAt)
    throw new JobGoneError('This job was deleted. Put it back from the list of jobs.')
  return isPresent(row) ? row : present(db, row)
}

const put = async (db: DuskDatabase, row: JobRow, job: Job): Promise<JobRow> => {
  const saved = { ...row, job, revision: row.revision + 1, savedAt: new Date().toISOString() }
  await db.jobs.put(saved)
  return saved
}

const setHidden = (db: DuskDatabase, ids: string[], hidden: boolean) =>
  db.entries.where('id').anyOf(ids).modify({ hidden })

/**
 * Saves one change with its log line and its place in the history, all or nothing.
 *
 * A change that has already been saved is left alone, so that one left over from a closed tab can be tried again; also when
 * it was joined to another or taken back since.
 *
 * @param ids of the change, and of all that were joined to it before it came here
 * @throws ConflictError when a newer value stands where the change would put its own
 * @throws JobGoneError when the job is no longer there
 */
export const commitChange = (
  db: DuskDatabase,
  change: Change,
  entries: LogEntry[] = [],
  ids: string[] = [change.id],
): Promise<JobRow> => inOne(db, () => commitWithin(db, change, entries, ids))

async function commitWithin(
  db: DuskDatabase,
  change: Change,
  entries: LogEntry[],
  ids: string[] = [change.id],
  takesBack = false,
): Promise<JobRow> {
  const row = await rowOf(db, change.jobId)
  if (row.seen?.includes(change.id) || (await db.history.where('id').equals(change.id).first())) return row
  if (!stillApplies(row.job, change)) throw new ConflictError(change)
  const { undo: last, redo: takenBack } = await reach(db, change.jobId)
  if (takenBack) await after(db, change.jobId, last).delete()
  if (last && change.mergeKey !== null && last.mergeKey === change.mergeKey)
    await db.history.put({ ...mergeChanges(last, change), sequence: last.sequence })
  // A copy: its place in the order is written into it, and must not be kept when the transaction fails.
  else await db.history.add({ ...change } as HistoryRow)
  await db.entries.bulkPut(entries)
  await setHidden(db, change.hides, true)
  await setHidden(db, change.shows, false)
  const seen = [...(row.seen ?? []), ...ids].slice(-MOST_SEEN)
  const made = applyChange(row.job, change)
  return put(db, { ...row, seen }, takesBack ? doubtSupports(row.job, made, change.at) : made)
}

/** The part of a job's history after a change: what was taken back. */
const after = (db: DuskDatabase, jobId: string, change: HistoryRow | null) =>
  db.history
    .where('[jobId+sequence]')
    .between([jobId, change?.sequence ?? Dexie.minKey], [jobId, Dexie.maxKey], false)

/** The change that undo would take back, and the one that redo would do again: the next one after it. */
export async function reach(db: DuskDatabase, jobId: string) {
  const undo = await historyOf(db, jobId)
    .reverse()
    .filter(change => !change.undone)
    .first()
  const redo = await after(db, jobId, undo ?? null).first()
  return { undo: undo ?? null, redo: redo ?? null }
}

/** Fetched before the transaction, which would not wait; nothing else of an open job needs the rules of documents. */
const documentRules = async () => (await import('@/core/sheets/checkJob')).checkJob

/**
 * Fetches the rules of documents before they are needed, so that undo needs no server; in two goes with a pause between, so that
 * no frame waits for both.
 */
export async function warmRules(): Promise<void> {
  await import('yup')
  await new Promise(done => setTimeout(done, 100))
  await documentRules()
}

async function step(db: DuskDatabase, jobId: string, direction: 'undo' | 'redo'): Promise<JobRow | null> {
  const checkJob = await documentRules()
  return inOne(db, async () => {
    const change = (await reach(db, jobId))[direction]
    if (!change) return null
    const row = await rowOf(db, jobId)
    const undone = direction === 'undo'
    const made = undone ? takeBack(row.job, change) : applyChange(row.job, change)
    const job = doubtSupports(row.job, made, new Date().toISOString())
    // The history came from a file once, perhaps: what it makes of the job must be a job.
    checkJob(job)
    if (job.id !== row.id) throw new Error(`job.id: got ${job.id}, takes ${row.id}`)
    await db.history.update(change.sequence, { undone })
    await setHidden(db, change.shows, undone)
    await setHidden(db, change.hides, !undone)
    return put(db, row, job)
  })
}

/** Takes back the last change, also one made before a restart; null when there is none. */
export const undo = (db: DuskDatabase, jobId: string) => step(db, jobId, 'undo')
/** Does the last change that was taken back again; null when there is none. */
export const redo = (db: DuskDatabase, jobId: string) => step(db, jobId, 'redo')

/** One thing cannot be taken back any more; the message says why. */
export class NotUndoneError extends Error {
  override name = 'NotUndoneError'
}

/**
 * Takes back one change, whatever came after it: as undo does where it is the last, else as a change of its own.
 *
 * @throws NotUndoneError that says why it cannot be taken back: it was already, or what it made was changed since
 */
export async function undoOne(
  db: DuskDatabase,
  jobId: string,
  changeId: string,
  stamp: { id: string; at: string },
): Promise<JobRow | null> {
  const change = await db.history.where('id').equals(changeId).first()
  if (!change || change.jobId !== jobId || change.undone)
    throw new NotUndoneError('It was taken back already.')
  if ((await reach(db, jobId)).undo?.id === changeId) return undo(db, jobId)
  return inOne(db, async () => {
    const row = await rowOf(db, jobId)
    const undoing = undoingChange(change, stamp)
    if (!stillApplies(row.job, undoing))
      throw new NotUndoneError(`“${change.label}” stays: what it set was changed again since.`)
    return commitWithin(db, undoing, [], [undoing.id], true)
  })
}
