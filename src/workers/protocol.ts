import type { Axis, PartKind } from '@/core/job/types'
import type { DrivePoint, SearchResult } from '@/core/sizing/search/search'
import type { WhyNot } from '@/core/sizing/search/whyNot'
import type { UnitSystem } from '@/core/units/quantity'
import type { PartVerdict } from '@/core/verdicts/judgeParts'
import type { WayOut } from '@/core/verdicts/waysOut'

/** What the worker can be asked to work out. */
export interface BenchWorker {
  waysOut: (axis: Axis, units: UnitSystem, checkId: string) => WayOut[]
  judgeParts: (axis: Axis, kind: PartKind, units: UnitSystem) => PartVerdict[]
}

/** What a search comes to: the drives that nothing beats, or why there are none. */
export interface SearchOutcome extends SearchResult {
  whyNothing: { title: string; sentence: string }[] | null
}

/** A worker of its own, so that a search can be stopped by ending it. */
export interface SearchWorker {
  search: (axis: Axis, units: UnitSystem, onProgress: (share: number) => void) => SearchOutcome | null
  whyNot: (axis: Axis, units: UnitSystem, kind: PartKind, partId: string, points: DrivePoint[]) => WhyNot
}
