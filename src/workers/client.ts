import { proxy, type Remote, wrap } from 'comlink'

import type { OwnParts } from '@/core/document/parts/types'
import type { DaysOffFile, DaysWindow } from '@/core/formats/daysOff'
import { LARGEST_BACKUP_BYTES, refuseLarge } from '@/core/formats/jobFileError'
import type { PartsFile } from '@/core/formats/partsCsv'
import type { Table } from '@/core/formats/workbook'
import type { Backup } from '@/core/formats/writeJobFile'
import type { Planned, PlannedJob } from '@/core/planning/plan'
import type { DrivePoint } from '@/core/search/field'
import type { SearchOutcome } from '@/core/search/outcome'
import type { SearchedKind, WhyNot } from '@/core/search/whyNot'
import type { Spread } from '@/core/sheets/chain/monteCarlo'
import { currencyNow } from '@/core/units/money'
import { tellByQuery } from './address'
import { isAlive } from './alive'
import type {
  DrawTask,
  DrawWorker,
  FileWorker,
  JudgeWorker,
  PlanTask,
  PlanWorker,
  PracticeWorker,
  SearchTask,
  SearchWorker,
} from './protocol'

tellByQuery()

/** A worker that could not be fetched, broke or ended never answers: whoever waits for it is told by this. */
const failing = (worker: Worker) =>
  new Promise<never>((_, reject) => {
    worker.addEventListener('error', event => {
      event.preventDefault()
      // One that was fetched and broke says where; what it says is for whoever writes the app.
      reject(
        new Error(
          event.message
            ? 'The app made a mistake there; it was not you'
            : 'A piece of the app did not come: the connection was interrupted, or the app was renewed meanwhile. Load the page again: nothing is lost.',
        ),
      )
    })
    worker.addEventListener('message', ({ data }) => {
      if (isAlive(data))
        void navigator.locks?.request(data.lock, () =>
          reject(
            new Error('The browser ended it, perhaps for want of memory: close other tabs and try again'),
          ),
        )
    })
  })

/** A worker with the way to it; both live as long as each other: a way that is forgotten closes the worker's ear. */
interface Reached<W> {
  worker: Worker
  remote: Remote<W>
  failed: Promise<never>
}

function reach<W>(worker: Worker): Reached<W> {
  // Before anything is asked of it: prices in its sentences are in the money of this page.
  worker.postMessage({ currency: currencyNow() })
  return { worker, remote: wrap<W>(worker), failed: failing(worker) }
}

let judge: Reached<JudgeWorker> | undefined
let practice: Reached<PracticeWorker> | undefined

/** Asks the worker that judges; it is started when it is first asked, and anew after it has failed. */
export function askJudge<T>(question: (remote: Remote<JudgeWorker>) => Promise<T>): Promise<T> {
  if (!judge) {
    judge = reach<JudgeWorker>(new Worker(new URL('./judge.worker.ts', import.meta.url), { type: 'module' }))
    judge.failed.catch(() => {
      judge = undefined
    })
  }
  return Promise.race([question(judge.remote), judge.failed])
}

/** Asks the worker that has the virtual axis; it is started when it is first asked, and anew after it has failed. */
export function askPractice<T>(question: (remote: Remote<PracticeWorker>) => Promise<T>): Promise<T> {
  if (!practice) {
    practice = reach<PracticeWorker>(
      new Worker(new URL('./practice.worker.ts', import.meta.url), { type: 'module' }),
    )
    practice.failed.catch(() => {
      practice = undefined
    })
  }
  return Promise.race([question(practice.remote), practice.failed])
}

/** Work that runs beside the screen until it is done or stopped. */
export interface Running<T> {
  done: Promise<T>
  cancel: () => void
}

export type OnProgress = (share: number) => void

/**
 * Gives work to a worker, which ends when the work is stopped or fails.
 *
 * Progress, a share or whatever is known by then, comes by a way of its own and may be late: what comes after the end or a stop is dropped.
 *
 * @param after what becomes of the worker when the work is done; it ends if nothing else is said
 */
function running<W, T, P = number>(
  { worker, remote, failed }: Reached<W>,
  work: (remote: Remote<W>, progress: (step: P) => void) => Promise<T>,
  onProgress: (step: P) => void = () => {},
  after: () => void = () => worker.terminate(),
): Running<T> {
  let over = false
  const end = (last: () => void) => {
    if (!over) last()
    over = true
  }
  const stop = () => end(() => worker.terminate())
  const progress = proxy((step: P) => {
    if (!over) onProgress(step)
  })
  const done = Promise.race([work(remote, progress), failed])
  done.then(() => end(after), stop)
  return { done, cancel: stop }
}
const searchWorker = () =>
  reach<SearchWorker>(new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' }))
const drawWorker = () =>
  reach<DrawWorker>(new Worker(new URL('./draw.worker.ts', import.meta.url), { type: 'module' }))

/** Searches the parts list for the drives of an axis that nothing beats. */
export const startSearch = (task: SearchTask, onProgress: OnProgress): Running<SearchOutcome | null> =>
  running<SearchWorker, SearchOutcome | null>(
    searchWorker(),
    (remote, progress) => remote.search(task, progress),
    onProgress,
  )

/** Asks what stands in the way of a part. */
export const startWhyNot = (
  task: SearchTask,
  kind: SearchedKind,
  partId: string,
  points: DrivePoint[],
): Running<WhyNot | null> =>
  running<SearchWorker, WhyNot | null>(
    searchWorker(),
    async remote => await remote.whyNot(task, kind, partId, points),
  )

/** So long a calendar is looked through; one of many years takes a moment. */
const CALENDAR_MS = 30_000

/** Looks through a calendar for the days off in a window. @throws Error where it takes longer than any real one */
export function startDaysOff(text: string, window: DaysWindow): Running<DaysOffFile> {
  const reading = running<FileWorker, DaysOffFile>(fileWorker(), remote => remote.daysOff(text, window))
  let timer: ReturnType<typeof setTimeout>
  // What was called off says nothing any more, however long ago.
  const cancel = () => {
    clearTimeout(timer)
    reading.cancel()
  }
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      cancel()
      reject(
        new Error(
          `It was not looked through after ${CALENDAR_MS / 1000} seconds: it has rules that lead nowhere.`,
        ),
      )
    }, CALENDAR_MS)
  })
  void reading.done.finally(() => clearTimeout(timer)).catch(() => undefined)
  return { done: Promise.race([reading.done, late]), cancel }
}

/** Writes tables as a workbook. */
export const startWorkbook = (tables: readonly Table[]): Running<Uint8Array> =>
  running<FileWorker, Uint8Array>(fileWorker(), async remote => await remote.workbook(tables))

const fileWorker = () =>
  reach<FileWorker>(new Worker(new URL('./file.worker.ts', import.meta.url), { type: 'module' }))

/** Reads and checks a chosen file: one job, or a backup of many. */
export const startRead = (file: File, onProgress: OnProgress): Running<Backup> =>
  running<FileWorker, Backup>(
    fileWorker(),
    async (remote, progress) => {
      refuseLarge(file.size, LARGEST_BACKUP_BYTES)
      return remote.read(new Uint8Array(await file.arrayBuffer()), progress)
    },
    onProgress,
  )

/** Reads a file of parts, row by row. @param before the parts that it is compared with */
export const startParts = (text: string, before: OwnParts, onProgress: OnProgress): Running<PartsFile> =>
  running<FileWorker, PartsFile>(
    fileWorker(),
    async (remote, progress) => await remote.parts(text, before, progress),
    onProgress,
  )

const planWorker = () =>
  reach<PlanWorker>(new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' }))
/** One that has planned before and waits to be asked again: it is quicker by half than a new one. */
let rested: Reached<PlanWorker> | null = null

/** Plans what is left of a job. */
export function startPlan(task: PlanTask, onBetter: (plan: PlannedJob) => void): Running<Planned> {
  const planner = rested ?? planWorker()
  rested = null
  return running<PlanWorker, Planned, PlannedJob>(
    planner,
    async (remote, better) => await remote.plan(task, better),
    onBetter,
    () => {
      rested?.worker.terminate()
      rested = planner
    },
  )
}

/** Draws a chain of dimensions many times over. */
export const startDraws = (task: DrawTask, onProgress: OnProgress): Running<Spread | null> =>
  running<DrawWorker, Spread | null>(
    drawWorker(),
    (remote, progress) => remote.draw(task, progress),
    onProgress,
  )
