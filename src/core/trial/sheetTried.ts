import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import type { EvaluationContext } from '../evaluation/context'
import type { State } from '../evaluation/finding'
import type { CheckId } from '../evaluation/ids'
import type { Round } from '../sheets/shared/rounds/model'
import { newRound, type Rounds } from '../sheets/shared/rounds/rounds'
import type { AxisFigures, Causes } from '../simulate/axis/figures'
import type { Plans, Read } from './read'
import { type Fault, TRIAL_DAY, type Trial } from './trial'

// One sheet, as a builder goes through it who does what it says.

/** A gauge that small shops have, um a mark. */
export const GAUGE_STEP_UM = 2
/** Minutes of a reading, and of an order that is carried out. */
export const READING_MIN = 0.5
export const ORDER_MIN = 15

/** What a sheet has the builder do. */
export interface Order {
  /** Of which of the faults it speaks. */
  readonly names: readonly Fault[]
  /** Nothing is turned: it asks for another reading first. */
  readonly isReading?: true
  /** What is turned, shimmed or mended on the machine. */
  readonly done?: (causes: Causes) => Causes
  /** What is noted of the axis: where a figure is to be put, how far a nut was turned. */
  readonly noted?: (axis: Axis) => Axis
}
/** One sheet as a builder goes through it. */
export interface Sheet<R extends Read> {
  readonly read: R
  readonly checks: readonly CheckId[]
  /** The faults that it should find. */
  readonly about: readonly Fault[]
  /** Faults that it does not judge, and must stop at: a bent screw tells nothing of its blocks. */
  readonly stopsAt?: readonly Fault[]
  /** Whether the sheet is one for such an axis; for every axis where left out. */
  readonly fits?: (trial: Trial) => boolean
  readonly plan: (axis: Axis, t: Trial) => Plans[R]
  readonly put: (axis: Axis, ...filled: Plans[R][]) => Axis
  readonly readings: number
  /** What a base creeps or is knocked by, um; half as much again as is accepted where left out. */
  readonly slipUm?: number
  /** The states in which it may order something; where it fails, where left out. */
  readonly ordersWhen?: readonly State[]
  /** What it orders; null where it only says that something is wrong. */
  readonly orders: (
    t: EvaluationContext,
    fails: (check: CheckId) => boolean,
    hand: () => number,
  ) => Order | null
  /** How far the axis truly is from right in what the sheet judges, and what is accepted. */
  readonly truth: (
    figures: AxisFigures,
    causes: Causes,
    axis: Axis,
    catalogue: Catalogue,
  ) => readonly [off: number, accepted: number]
}

/** Ids of a round and its rows, by how many rounds there are before it. */
export const ids = (before: number) => {
  let next = 0
  return () => `r${before}-${next++}`
}
export const roundsOf = <R extends Round>(rounds: Rounds<R>, set: Partial<R> = {}) => ({
  plan: (axis: Axis, { job }: Trial): R => ({
    ...newRound(
      rounds,
      axis,
      { ...job.shop, gaugeStepUm: GAUGE_STEP_UM },
      ids(rounds.pick(axis).length),
      TRIAL_DAY,
    ),
    ...set,
  }),
  put: (axis: Axis, ...filled: R[]): Axis => ({
    ...axis,
    ...rounds.only([...rounds.pick(axis), ...filled]),
  }),
})

export const without = (causes: Causes, ...keys: (keyof Causes)[]): Causes =>
  Object.fromEntries(Object.entries(causes).filter(([key]) => !keys.includes(key as keyof Causes)))
