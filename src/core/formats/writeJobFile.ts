import type { Change } from '../document/edit'
import type { Job, LogEntry } from '../document/job'
import type { Practiser } from '../document/practiser'
import { bytesOf, LARGEST_BACKUP_BYTES, LARGEST_FILE_BYTES, MOST_ROWS, refuseLarge } from './jobFileError'

/** Everything that belongs to a job, as it is stored and as it is exported. */
export interface JobFile {
  format: 'dusk-bench-job'
  job: Job
  entries: LogEntry[]
  history: Change[]
}

/** What a backup holds: jobs, and how far whoever practises here has come. */
export interface Backup {
  jobs: JobFile[]
  practisers: Practiser[]
}

/** Up to this size a file is laid out for people to read; a larger one is not looked through, and layout would double it. */
const LAID_OUT_BYTES = 4 * 1024 * 1024

/**
 * Writes a job with its log and its history, in a fixed order, so that the same job gives the same text.
 *
 * What is written can be read again: of a history too long for one file the oldest changes stay behind, which could be taken
 * back but are part of the job already.
 *
 * @throws JobFileError when job and log alone are larger than a file may be
 * @example writeJobFile({ format: 'dusk-bench-job', job, entries: [], history: [] }) // '{\n "format": ...'
 */
export const writeJobFile = ({ job, entries, history }: JobFile): string =>
  written(
    share => ({ format: 'dusk-bench-job', job, entries, history: lastOf(history, share) }),
    LARGEST_FILE_BYTES,
  )

/**
 * Writes all jobs of a browser as one file, which can be read again: where it would be too large, the oldest changes of each
 * history stay behind.
 *
 * @param madeAt when, as it is asked for when it is put back
 * @throws JobFileError when jobs and logs alone are larger than a backup may be
 */
export const writeBackup = ({ jobs, practisers }: Backup, madeAt: string): string =>
  written(
    share => ({
      format: 'dusk-bench-backup',
      madeAt,
      jobs: jobs.map(job => ({ ...job, history: lastOf(job.history, share) })),
      practisers,
    }),
    LARGEST_BACKUP_BYTES,
  )

/** The last part of a history: the share of it that is asked for, of as much as a file may hold. */
const lastOf = (history: readonly Change[], share: number) =>
  history.slice(history.length - Math.floor(Math.min(history.length, MOST_ROWS) * share))

/** Less and less of the histories, until it fits. */
function written(withShare: (share: number) => unknown, most: number): string {
  for (const share of [1, 0.5, 0.25, 0.1, 0.03]) {
    const text = laidOut(withShare(share))
    if (bytesOf(text) <= most) return text
  }
  const text = laidOut(withShare(0))
  refuseLarge(bytesOf(text), most)
  return text
}

function laidOut(value: unknown): string {
  const text = JSON.stringify(value)
  return `${text.length > LAID_OUT_BYTES ? text : JSON.stringify(value, null, 1)}\n`
}
