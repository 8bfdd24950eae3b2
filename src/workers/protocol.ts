import type { Asked } from '@/core/acceptance/asked'
import type { Twin } from '@/core/diagnose/twin'
import type { Axis } from '@/core/document/axis'
import type { Job } from '@/core/document/job'
import type { PartKind } from '@/core/document/kinds'
import type { OwnParts } from '@/core/document/parts/types'
import type { Shop } from '@/core/document/shop'
import type { Finding } from '@/core/evaluation/finding'
import type { Remedy } from '@/core/evaluation/remedy'
import type { DaysOffFile, DaysWindow } from '@/core/formats/daysOff'
import type { PartsFile } from '@/core/formats/partsCsv'
import type { Table } from '@/core/formats/workbook'
import type { Backup } from '@/core/formats/writeJobFile'
import type { ShopTexts } from '@/core/machine/parts/shopParts'
import type { Now } from '@/core/planning/days'
import type { Standing } from '@/core/planning/next'
import type { Planned, PlannedJob, WhatIf } from '@/core/planning/plan'
import type { Rehearsal, Rehearsed, Supposable } from '@/core/practice/rehearse'
import type { SearchExercise, SearchVerdict, StepTold } from '@/core/practice/trainer/findIt'
import type { DrivePoint } from '@/core/search/field'
import type { SearchOutcome } from '@/core/search/outcome'
import type { SearchedKind, WhyNot } from '@/core/search/whyNot'
import type { Supply } from '@/core/search/within'
import type { CheckId, SheetId } from '@/core/sheets'
import type { Contributor } from '@/core/sheets/chain/calculation'
import type { Spread } from '@/core/sheets/chain/monteCarlo'
import type { CheckName, FaultId } from '@/core/sheets/findFault/words'
import type { PartVerdict } from '@/core/sheets/judgeParts'
import type { UnitSystem } from '@/core/units/quantity'

/** An axis with what it is judged by: plain data, as it goes over to a worker. */
export interface AxisTask {
  axis: Axis
  ownParts: OwnParts
  shop: Shop
  units: UnitSystem
}

/** What the worker can be asked to work out. */
export interface JudgeWorker {
  /** Where each axis of a job stands. */
  standings: (job: Job) => Standing[]
  /** What a job asks for today, and within a week. */
  asked: (job: Job) => Asked[]
  /** What the checks find that come later. */
  later: (task: AxisTask) => Finding[]
  remedies: (task: SupplyTask, checkId: CheckId) => Remedy[]
  judgeParts: (task: AxisTask, kind: PartKind) => PartVerdict[]
}

/** An axis with its parts and what there is of them. */
export type SupplyTask = AxisTask & Omit<Supply, 'shopParts'>
/** That, with the shop's list as text. */
export type SearchTask = SupplyTask & { shopTexts?: ShopTexts }

/** A worker of its own, so that a search can be stopped by ending it. */
export interface SearchWorker {
  search: (task: SearchTask, onProgress: (share: number) => void) => SearchOutcome | null
  whyNot: (task: SearchTask, kind: SearchedKind, partId: string, points: DrivePoint[]) => WhyNot
}

/** A job to be planned from a moment on, as it is or as if something were otherwise. */
export interface PlanTask {
  job: Job
  now: Now
  whatIf: WhatIf | null
}
/** A worker that plans; each better plan comes as it is found. */
export interface PlanWorker {
  plan: (task: PlanTask, onBetter: (plan: PlannedJob) => void) => Planned
}

/** A worker that reads files. */
export interface FileWorker {
  read: (bytes: Uint8Array, onProgress: (share: number) => void) => Backup
  parts: (text: string, before: OwnParts, onProgress: (share: number) => void) => PartsFile
  workbook: (tables: readonly Table[]) => Promise<Uint8Array>
  daysOff: (text: string, window: DaysWindow) => DaysOffFile
}

/** One table of an axis, to be read on the virtual axis. */
export interface RehearsalTask extends AxisTask {
  sheet: SheetId
  rehearsal: Rehearsal
  /** The present moment. */
  at: string
}
/** What would be read, with all that can be supposed there; or what the axis still needs for that. */
export type RehearsalAnswer =
  | (Rehearsed & { readonly supposable: readonly Supposable[]; readonly ask?: undefined })
  | { readonly ask: string }
export interface PracticeWorker {
  rehearse: (task: RehearsalTask) => RehearsalAnswer
  /** What this axis would read with each fault; null where nothing was measured that comes to a figure. */
  twin: (task: AxisTask, at: string) => Twin | null
  /** A hidden fault to be found, by its seed. */
  search: (seed: number) => SearchExercise
  /** How the checks come out that were asked for, in their order. */
  made: (seed: number, checks: readonly CheckName[]) => StepTold[]
  searchVerdict: (seed: number, checks: readonly CheckName[], named: FaultId) => SearchVerdict
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
