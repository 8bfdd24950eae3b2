import { useLiveQuery } from 'dexie-react-hooks'
import type { LogEntry } from '@/core/document/job'
import { getDatabase, type JobRow } from './database'
import { describeProblem, type Problem } from './problem'

/** The log of a job, oldest first; undefined until it is read. */
export const useEntries = (jobId: string): LogEntry[] | undefined =>
  useLiveQuery(async () => {
    const entries = await getDatabase().entries.where('jobId').equals(jobId).toArray()
    return entries.toSorted((a, b) => a.at.localeCompare(b.at))
  }, [jobId])

/** Every job with the deleted ones, newest work first, or why they cannot be read; undefined until then. */
export const useJobRows = (): { rows: JobRow[]; problem: Problem | null } | undefined =>
  useLiveQuery(async () => {
    try {
      const rows = await getDatabase().jobs.toArray()
      return { rows: rows.toSorted((a, b) => b.savedAt.localeCompare(a.savedAt)), problem: null }
    } catch (error) {
      return { rows: [], problem: describeProblem(error) }
    }
  }, [])
