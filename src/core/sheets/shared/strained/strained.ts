import type { Axis } from '../../../document/axis'
import type { State } from '../../../evaluation/finding'
import type { CheckId } from '../../../evaluation/ids'
import { blankRecord } from '../../../field/field'
import { ROUND } from '../rounds/model'

/** How much better or worse an axis is made, aligned and tested: each sheet takes of it what suits its figures. */
export interface Strain {
  nutFacing: 'fixed' | 'far'
  /** Factors that stand about 1. */
  room: number
  metal: number
  clear: number
  speed: number
  edge: number
  thread: number
  chain: number
  travel: number
  switchMm: number
  loop: number
  grip: number
  moved: number
  /** What readings grow by: hardly, or by far. */
  by: number
  heights: number
  readings: number
  recessMm: number
  recessFixedMm: number
  spacerMm: number
  innerMm: number
  contact: 'normally-closed' | 'normally-open'
  pulseLimitHz: number | null
  access: 'fitting' | 'open' | 'none'
}

/** The strained cases of the checks of a sheet: what each must be seen to say, and an axis that makes it say so. */
export interface Strained {
  /** The states that each of its checks is seen in. */
  readonly states: Readonly<Partial<Record<CheckId, readonly State[]>>>
  /** Checks of which the way out is work at the machine, which no change of the plan does for it. */
  readonly byHand?: readonly CheckId[]
  /** What it keeps of an axis, strained; none where chosen parts, ends and goals alone decide. */
  readonly strain?: (axis: Axis, by: Strain) => Partial<Axis>
}

/** Strained cases of a sheet. */
export const defineStrained = (strained: Strained): Strained => strained

/** A figure so many times larger; none stays none. */
export const times = <T extends number | null>(value: T, by: number): T =>
  (value === null ? null : Math.round(value * by * 1000) / 1000) as T

/** A round that was begun, with a gauge of one micrometre. */
export const BEGUN = {
  ...blankRecord(ROUND),
  startedAt: '2026-11-20T17:00:00.000Z',
  gaugeStepUm: 1,
}
