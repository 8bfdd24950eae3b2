import { proxy, type Remote, wrap } from 'comlink'

import { LARGEST_BACKUP_BYTES, refuseLarge } from '@/core/formats/jobFileError'
import type { JobFile } from '@/core/formats/writeJobFile'
import type { DrivePoint } from '@/core/search/field'
import type { SearchedKind, WhyNot } from '@/core/search/whyNot'
import type { Spread } from '@/core/simulate/monteCarlo'
import type {
  AxisTask,
  DrawTask,
  DrawWorker,
  FileWorker,
  JudgeWorker,
  SearchOutcome,
  SearchWorker,
} from './protocol'

let remote: Remote<JudgeWorker> | undefined

/** The worker, started when it is first asked for something. */
export function judgeWorker(): Remote<JudgeWorker> {
  remote ??= wrap<JudgeWorker>(new Worker(new URL('./judge.worker.ts', import.meta.url), { type: 'module' }))
  return remote
}

/** Work that runs beside the screen until it is done or stopped. */
export interface Running<T> {
  done: Promise<T>
  cancel: () => void
}

export type OnProgress = (share: number) => void

/**
 * Gives work to a worker of its own, which ends with it.
 *
 * Progress comes by a way of its own and may be late: what comes after the end or a stop is dropped.
 */
function running<W, T>(
  worker: Worker,
  work: (remote: Remote<W>, progress: OnProgress) => Promise<T>,
  onProgress: OnProgress = () => {},
): Running<T> {
  let over = false
  const end = () => {
    over = true
    worker.terminate()
  }
  const progress = proxy((share: number) => {
    if (!over) onProgress(share)
  })
  return { done: work(wrap<W>(worker), progress).finally(end), cancel: end }
}
const searchWorker = () => new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' })
const drawWorker = () => new Worker(new URL('./draw.worker.ts', import.meta.url), { type: 'module' })

/** Searches the parts list for the drives of an axis that nothing beats. */
export const startSearch = (task: AxisTask, onProgress: OnProgress): Running<SearchOutcome | null> =>
  running<SearchWorker, SearchOutcome | null>(
    searchWorker(),
    (remote, progress) => remote.search(task, progress),
    onProgress,
  )

/** Asks what stands in the way of a part. */
export const startWhyNot = (
  task: AxisTask,
  kind: SearchedKind,
  partId: string,
  points: DrivePoint[],
): Running<WhyNot | null> =>
  running<SearchWorker, WhyNot | null>(
    searchWorker(),
    async remote => await remote.whyNot(task, kind, partId, points),
  )

/** Reads and checks a chosen file: one job, or a backup of many. */
export const startRead = (file: File, onProgress: OnProgress): Running<JobFile[]> =>
  running<FileWorker, JobFile[]>(
    new Worker(new URL('./file.worker.ts', import.meta.url), { type: 'module' }),
    async (remote, progress) => {
      refuseLarge(file.size, LARGEST_BACKUP_BYTES)
      return remote.read(await file.text(), progress)
    },
    onProgress,
  )

/** Draws a chain of dimensions many times over. */
export const startDraws = (task: DrawTask, onProgress: OnProgress): Running<Spread | null> =>
  running<DrawWorker, Spread | null>(
    drawWorker(),
    (remote, progress) => remote.draw(task, progress),
    onProgress,
  )
