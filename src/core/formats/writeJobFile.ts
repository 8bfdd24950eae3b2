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
