import type { Job } from '@/core/document/job'
import { type JobFile, writeJobFile } from '@/core/formats/writeJobFile'
import { type DuskDatabase, historyOf, present } from './database'

// Apart from what reads job files: exporting must work at once, also when there is trouble.

/** Everything of a job as it is stored, or with a newer document that could not be stored. */
export async function collect(db: DuskDatabase, jobId: string, unsaved?: Job): Promise<JobFile> {
  const row = await db.jobs.get(jobId)
  const job = unsaved ?? (row && (await present(db, row)).job)
  if (!job) throw new Error('This job is no longer here.')
  const entries = await db.entries.where('jobId').equals(jobId).toArray()
  const rows = await historyOf(db, jobId).toArray()
  return {
    format: 'dusk-bench-job',
    job,
    entries: entries.toSorted((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id)),
    history: rows.map(({ sequence: _, ...change }) => change),
  }
}

/**
 * The text of a job's export. When the database cannot be read, what this tab holds is exported alone.
 */
export async function exportJob(db: DuskDatabase, jobId: string, unsaved?: Job): Promise<string> {
  try {
    return writeJobFile(await collect(db, jobId, unsaved))
  } catch (error) {
    if (!unsaved) throw error
    return writeJobFile({ format: 'dusk-bench-job', job: unsaved, entries: [], history: [] })
  }
}
