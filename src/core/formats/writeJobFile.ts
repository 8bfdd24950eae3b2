import type { Change } from '../document/edit'
import type { Job, LogEntry } from '../document/job'

/** Everything that belongs to a job, as it is stored and as it is exported. */
export interface JobFile {
  format: 'dusk-bench-job'
  job: Job
  entries: LogEntry[]
  history: Change[]
}

/**
 * Writes a job with its log and its history, in a fixed order, so that the same job gives the same text.
 *
 * @example writeJobFile({ format: 'dusk-bench-job', job, entries: [], history: [] }) // '{\n "format": ...'
 */
export function writeJobFile({ job, entries, history }: JobFile): string {
  return `${JSON.stringify({ format: 'dusk-bench-job', job, entries, history }, null, 1)}\n`
}

/**
 * Writes all jobs of a browser as one file.
 *
 * @param madeAt when, as it is asked for when it is put back
 */
export const writeBackup = (jobs: readonly JobFile[], madeAt: string): string =>
  `${JSON.stringify({ format: 'dusk-bench-backup', madeAt, jobs }, null, 1)}\n`
