import { proxy, type Remote, wrap } from 'comlink'
import type { Axis, PartKind } from '@/core/job/types'
import type { DrivePoint } from '@/core/sizing/search/search'
import type { WhyNot } from '@/core/sizing/search/whyNot'
import type { UnitSystem } from '@/core/units/quantity'
import type { BenchWorker, SearchOutcome, SearchWorker } from './protocol'

let remote: Remote<BenchWorker> | undefined

/** The worker, started when it is first asked for something. */
export function benchWorker(): Remote<BenchWorker> {
  remote ??= wrap<BenchWorker>(new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' }))
  return remote
}

/** Work that runs beside the screen until it is done or stopped. */
export interface Running<T> {
  done: Promise<T>
  cancel: () => void
}

function running<T>(work: (remote: Remote<SearchWorker>) => Promise<T>): Running<T> {
  const worker = new Worker(new URL('./search.worker.ts', import.meta.url), { type: 'module' })
  const done = work(wrap<SearchWorker>(worker)).finally(() => worker.terminate())
  return { done, cancel: () => worker.terminate() }
}

/** Searches the parts list for the drives of an axis that nothing beats. */
export const startSearch = (
  axis: Axis,
  units: UnitSystem,
  onProgress: (share: number) => void,
): Running<SearchOutcome | null> => running(remote => remote.search(axis, units, proxy(onProgress)))

/** Asks what stands in the way of a part. */
export const startWhyNot = (
  axis: Axis,
  units: UnitSystem,
  kind: PartKind,
  partId: string,
  points: DrivePoint[],
): Running<WhyNot> => running(async remote => await remote.whyNot(axis, units, kind, partId, points))
