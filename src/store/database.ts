import { Dexie, type EntityTable, type Table, type Transaction } from 'dexie'
import type { Change } from '@/core/document/edit'
import type { Job, LogEntry } from '@/core/document/job'
import { SCHEMA_VERSION } from '@/core/document/version.generated'

/** A job as it is stored; every saved change raises its revision by one. */
export interface JobRow {
  id: string
  revision: number
  savedAt: string
  /** When it was deleted; it can be put back until it is deleted for good. */
  deletedAt: string | null
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
    this.version(SCHEMA_VERSION).upgrade(bringUp)
  }
}

/** Every job with its history, from whatever version it is. */
async function bringUp(transaction: Transaction) {
  // It comes when it is needed; the transaction waits for it.
  const { migrate } = await Dexie.waitFor(import('@/core/document/migrations'))
  const jobs = transaction.table<JobRow>('jobs')
  const history = transaction.table<HistoryRow>('history')
  for (const row of await jobs.toArray()) {
    const old = await history
      .where('[jobId+sequence]')
      .between([row.id, Dexie.minKey], [row.id, Dexie.maxKey])
      .toArray()
    const stored = migrate({
      job: row.job as unknown as Record<string, unknown>,
      history: old as unknown as Record<string, unknown>[],
    })
    await jobs.put({ ...row, job: stored.job as unknown as Job })
    const kept = new Set(stored.history.map(({ sequence }) => sequence))
    await history.bulkPut(stored.history as unknown as HistoryRow[])
    await history.bulkDelete(old.map(({ sequence }) => sequence).filter(sequence => !kept.has(sequence)))
  }
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
