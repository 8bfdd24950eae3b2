import { Dexie, type EntityTable, type Table, type Transaction } from 'dexie'
import type { Change } from '@/core/document/edit'
import type { Job, LogEntry } from '@/core/document/job'
import { migrate, migrateChange, SCHEMA_VERSION } from '@/core/document/migrations'

/** A job as it is stored; every saved change raises its revision by one. */
export interface JobRow {
  id: string
  revision: number
  savedAt: string
  /** When it was deleted; it can be put back until it is deleted for good. */
  deletedAt: string | null
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
    super(name)
    this.version(1).stores({
      jobs: 'id',
      history: '++sequence, id, [jobId+sequence]',
      entries: 'id, jobId',
      settings: 'key',
    })
    // The tables stay as they are; the documents in them are brought up to the present version.
    this.version(2).upgrade(bringUp)
    this.version(3).upgrade(bringUp)
  }
}

async function bringUp(transaction: Transaction) {
  const versions = new Map<string, number>()
  await transaction
    .table<JobRow>('jobs')
    .toCollection()
    .modify(row => {
      versions.set(row.id, row.job.schemaVersion)
      row.job = migrate(row.job as unknown as Record<string, unknown>) as unknown as Job
    })
  await transaction
    .table<HistoryRow>('history')
    .toCollection()
    .modify((row, holder) => {
      holder.value = migrateChange(row, versions.get(row.jobId) ?? SCHEMA_VERSION)
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
