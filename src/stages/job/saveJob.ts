import { fileName } from '@/core/formats/fileName'
import { getDatabase } from '@/store/database'
import { exportJob } from '@/store/exportJob'
import type { OpenJob } from '@/store/session'
import { download } from './download'

/** Hands the open job, as it stands on the screen, to the builder as a file with its log and its history. */
export async function saveJob(session: OpenJob): Promise<void> {
  const { job } = session.getState()
  if (job)
    download(fileName(job.name, 'json'), await exportJob(getDatabase(), job.id, job), 'application/json')
}
