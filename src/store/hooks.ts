import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useState } from 'react'
import type { LogEntry } from '@/core/document/job'
import { getDatabase, isPresent, type JobRow, present } from './database'
import { describeProblem, type Problem } from './problem'

/** The log of a job, oldest first; undefined until it is read. */
export const useEntries = (jobId: string): LogEntry[] | undefined =>
  useLiveQuery(async () => {
    const entries = await getDatabase().entries.where('jobId').equals(jobId).toArray()
    // Moments are of one form: as plain text they go by time, a hundred times as fast as by an alphabet.
    return entries.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
  }, [jobId])

interface Rows {
  /** Every job with the deleted ones, newest work first. */
  rows: JobRow[]
  /** The ids of jobs that this app cannot show: they are of another version. */
  hidden: string[]
  /** Why they cannot be read. */
  problem: Problem | null
}

/** Every job, or why they cannot be read; undefined until then. What is of an older version is brought up. */
export function useJobRows(): Rows | undefined {
  const stored = useLiveQuery(async (): Promise<Rows> => {
    try {
      const rows = (await getDatabase().jobs.toArray()).toSorted((a, b) => b.savedAt.localeCompare(a.savedAt))
      return {
        rows: rows.filter(isPresent),
        hidden: idsOf(rows.filter(row => !isPresent(row))),
        problem: null,
      }
    } catch (error) {
      return { rows: [], hidden: [], problem: describeProblem(error) }
    }
  }, [])
  const [odd, setOdd] = useState<Problem | null>(null)
  const hidden = stored?.hidden
  useEffect(() => {
    for (const id of hidden ?? [])
      getDatabase()
        .jobs.get(id)
        .then(row => row && present(getDatabase(), row))
        .catch(error => setOdd(describeProblem(error)))
  }, [hidden])
  return stored && { ...stored, problem: stored.problem ?? (stored.hidden.length > 0 ? odd : null) }
}

const idsOf = (rows: readonly JobRow[]) => rows.map(({ id }) => id)
