import { Dexie, type EntityTable, type Table, type Transaction } from 'dexie'
import type { Change } from '@/core/document/edit'
import type { Job, LogEntry } from '@/core/document/job'
import { SCHEMA_VERSION } from '@/core/document/version.generated'

/** What is kept here is of a newer app than this one, which must not write into it. */
export class NewerDataError extends Error {
  override name = 'NewerDataError'
  constructor() {
    super('What is kept here was opened by a newer Dusk Bench')
  }
}

/** A job as it is stored; every saved change raises its revision by one. */
export interface JobRow {
  id: string
  revision: number
  savedAt: string
  /** When it was deleted; it can be put back until it is deleted for good. */
  deletedAt: string | null
  /** Days on which the app was used since it was deleted, and the last of them. */
  binned?: { days: number; lastDay: string }
  /** The changes that were put in last, each by its id, also those that were joined to another or taken back since. */
  seen?: string[]
  job: Job
}
/** A change with its place in the order in which changes were made. */
export interface HistoryRow extends Change {
  sequence: number
}
interface Setting {
  key: string
  value: unknown
}

/** Everything that the app keeps, in this browser. */
export class DuskDatabase extends Dexie {
  jobs!: Table<JobRow, string>
  history!: EntityTable<HistoryRow, 'sequence'>
  entries!: Table<LogEntry, string>
  settings!: Table<Setting, string>

  constructor(name = 'dusk-bench') {
    // A change that is said to be saved is on the disk, also when the power goes.
    super(name, { chromeTransactionDurability: 'strict' })
    this.version(1).stores({
      jobs: 'id',
      history: '++sequence, id, [jobId+sequence]',
      entries: 'id, jobId',
      settings: 'key',
    })
    // The tables stay as they are; the documents in them are brought up to the present version.
    this.version(SCHEMA_VERSION).upgrade(async transaction => {
      for (const row of await transaction.table<JobRow>('jobs').toArray()) await bringUp(transaction, row)
    })
    // A newer app may have raised it, before this one came or while it was open: then it is left as it is.
    this.on('ready', () => this.refuseNewer(), true)
  }

  private refuseNewer() {
    if (this.backendDB().version >= NATIVE_PER_VERSION * (SCHEMA_VERSION + 1)) throw new NewerDataError()
  }
}

/** Versions are kept in tenths by the package that keeps them. */
const NATIVE_PER_VERSION = 10

/** Whether it is as this version of the app writes it. */
export const isPresent = ({ job }: JobRow) => job.schemaVersion === SCHEMA_VERSION
const isNewer = ({ job }: JobRow) => job.schemaVersion > SCHEMA_VERSION

/** A job with its history, from whatever version it is. */
async function bringUp(transaction: Pick<Transaction, 'table'>, row: JobRow): Promise<JobRow> {
  // It comes when it is needed; the transaction waits for it.
  const { migrate } = await Dexie.waitFor(import('@/core/document/migrations'))
  const history = transaction.table<HistoryRow>('history')
  const old = await history
    .where('[jobId+sequence]')
    .between([row.id, Dexie.minKey], [row.id, Dexie.maxKey])
    .toArray()
  const stored = migrate({
    job: row.job as unknown as Record<string, unknown>,
    history: old as unknown as Record<string, unknown>[],
  })
  const now = { ...row, job: stored.job as unknown as Job }
  await transaction.table<JobRow>('jobs').put(now)
  const kept = new Set(stored.history.map(({ sequence }) => sequence))
  await history.bulkPut(stored.history as unknown as HistoryRow[])
  await history.bulkDelete(old.map(({ sequence }) => sequence).filter(sequence => !kept.has(sequence)))
  return now
}

/**
 * A row as this version of the app writes it. One of an older version, which another tab may have put in since the database
 * was brought up, is brought up by its own version first; so it is in the database too.
 *
 * @throws NewerDataError when it is of a newer version
 */
export async function present(db: DuskDatabase, row: JobRow): Promise<JobRow> {
  if (isPresent(row)) return row
  if (isNewer(row)) throw new NewerDataError()
  return db.transaction('rw', db.jobs, db.history, async () => {
    const now = await db.jobs.get(row.id)
    return !now || isPresent(now) ? (now ?? row) : bringUp(db, now)
  })
}

let database: DuskDatabase | undefined
/** The one database of this tab, opened when it is first needed. */
export const getDatabase = (): DuskDatabase => {
  database ??= new DuskDatabase()
  return database
}

/** Where a job's history starts and ends in the index. */
export const historyOf = (db: DuskDatabase, jobId: string) =>
  db.history.where('[jobId+sequence]').between([jobId, Dexie.minKey], [jobId, Dexie.maxKey])
