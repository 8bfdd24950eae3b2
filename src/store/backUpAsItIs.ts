import { Dexie } from 'dexie'
import { type JobFile, writeBackup } from '@/core/formats/writeJobFile'
import type { HistoryRow, JobRow } from './database'
import { practisersOf } from './practisers'

/**
 * Every job that is not deleted as one text, as a newer app wrote it and for a newer app to read: nothing is looked into,
 * nothing is changed.
 *
 * @throws Error when the newer app keeps it otherwise
 */
export async function backUpAsItIs(name = 'dusk-bench'): Promise<string> {
  // Opened as whatever it is: no version is asked for, so none is refused.
  const found = new Dexie(name)
  try {
    await found.open()
    const rows = await found.table<JobRow>('jobs').toArray()
    const entries = await found.table<JobFile['entries'][number]>('entries').toArray()
    const history = await found.table<HistoryRow>('history').orderBy(':id').toArray()
    const jobs = rows
      .filter(({ deletedAt }) => !deletedAt)
      .map(
        ({ id, job }): JobFile => ({
          format: 'dusk-bench-job',
          job,
          entries: entries.filter(({ jobId }) => jobId === id),
          history: history.filter(({ jobId }) => jobId === id).map(({ sequence: _, ...change }) => change),
        }),
      )
    return writeBackup(
      { jobs, practisers: await practisersOf({ settings: found.table('settings') }) },
      new Date().toISOString(),
    )
  } finally {
    found.close()
  }
}
