import { PRACTISERS, type Practiser } from '../document/practiser'
import { gotAndTakes, schemaOf } from '../field/schema'
import { check, isObject, parseFile, readJob } from './jobFile'
import { JobFileError, LARGEST_BACKUP_BYTES, refuseLargeText } from './jobFileError'
import { decodeText, UnsureTextError } from './textFile'
import type { Backup, JobFile } from './writeJobFile'

const PRACTISER_LIST = schemaOf(PRACTISERS)
/** Most jobs of one backup. */
const MOST_JOBS = 1000

/** The text of a job file, which is always Unicode. @throws JobFileError where it is not */
export function unicodeOf(bytes: Uint8Array): string {
  try {
    return decodeText(bytes)
  } catch (error) {
    throw new JobFileError(
      error instanceof UnsureTextError
        ? 'The file is not in Unicode, as a job file always is: it was changed on its way. Copy it again from where it came.'
        : (error as Error).message,
    )
  }
}

/**
 * Reads a file with one job or a backup with many. Everything is checked before anything is returned.
 *
 * @param onProgress told now and then which share has been checked
 * @throws JobFileError that names what is wrong and where
 */
export function readFileOfJobs(text: string, onProgress: (share: number) => void = () => {}): Backup {
  refuseLargeText(text, LARGEST_BACKUP_BYTES)
  const file = parseFile(text)
  if (!isObject(file) || file.format !== 'dusk-bench-backup') {
    refuseLargeText(text)
    return { jobs: [readJob(file, onProgress)], practisers: [] }
  }
  const { jobs } = file
  if (!Array.isArray(jobs) || jobs.length > MOST_JOBS)
    throw new JobFileError(gotAndTakes(`a list of at most ${MOST_JOBS} jobs`)({ path: 'jobs', value: jobs }))
  const read = jobs.map((job, index): JobFile => {
    onProgress(index / jobs.length)
    try {
      return readJob(job)
    } catch (error) {
      throw error instanceof JobFileError ? new JobFileError(`jobs[${index}]: ${error.message}`) : error
    }
  })
  const ids = new Set(read.map(({ job }) => job.id))
  if (ids.size < read.length) throw new JobFileError('jobs: two jobs have the same id')
  // Backups of older versions have none.
  const practisers = check<Practiser[]>('practisers', PRACTISER_LIST, file.practisers ?? [])
  return { jobs: read, practisers }
}
