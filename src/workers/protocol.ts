import type { Shop } from '@/core/job/making'
import type { Axis, PartKind } from '@/core/job/types'
import type { Spread } from '@/core/room/monteCarlo'
import type { Contributor } from '@/core/room/stackup'
import type { OwnParts } from '@/core/sizing/parts'
import type { DrivePoint, SearchResult } from '@/core/sizing/search/field'
import type { WhyNot } from '@/core/sizing/search/whyNot'
import type { UnitSystem } from '@/core/units/quantity'
import type { PartVerdict } from '@/core/verdicts/judgeParts'
import type { WayOut } from '@/core/verdicts/waysOut'

/** An axis with what it is judged by: plain data, as it goes over to a worker. */
export interface Task {
  axis: Axis
  ownParts: OwnParts
  shop: Shop
  units: UnitSystem
}

/** What the worker can be asked to work out. */
export interface BenchWorker {
  waysOut: (task: Task, checkId: string) => WayOut[]
  judgeParts: (task: Task, kind: PartKind) => PartVerdict[]
}

/** What a search comes to: the drives that nothing beats, or why there are none. */
export interface SearchOutcome extends SearchResult {
  whyNothing: { title: string; sentence: string }[] | null
}

/** A worker of its own, so that a search can be stopped by ending it. */
export interface SearchWorker {
  search: (task: Task, onProgress: (share: number) => void) => SearchOutcome | null
  whyNot: (task: Task, kind: PartKind, partId: string, points: DrivePoint[]) => WhyNot
}

/** A chain of dimensions to be drawn many times over. */
export interface DrawTask {
  contributors: Contributor[]
  limits: { lowerLimitMm: number; upperLimitMm: number }
  draws: number
  seed: number
}
export interface DrawWorker {
  draw: (task: DrawTask, onProgress: (share: number) => void) => Spread | null
}
