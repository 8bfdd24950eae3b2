import type { CalculationFacts } from '../calculation/calculation'
import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import type { PaperBlock } from '../drawing/paper'
import type { EvaluationContext } from '../evaluation/context'
import type { CheckId } from '../evaluation/ids'
import type { RemedyFinder } from '../evaluation/remedy'
import type { UnitSystem } from '../units/quantity'
import type { Cut } from './shared/cuts/cut'
import type { OrderItem } from './shared/orders/orderItem'

/**
 * What comes of a sheet beside its verdicts. It is asked for by workers, lists, paper and the shell, never at a key, so
 * that the first screen of a job comes without it.
 */
export interface Outcome {
  /** What may mend each of its checks, in the order in which it is offered. */
  readonly remedies?: Readonly<Partial<Record<CheckId, readonly RemedyFinder[]>>>
  /** Calculations that are its own, for the reference and the shell. */
  readonly calculations?: readonly CalculationFacts[]
  /** Metal that it wants cut. @throws NotKnown while that is not known */
  readonly cuts?: (context: EvaluationContext) => Cut[]
  /** What it needs bought for an axis. */
  readonly orders?: (axis: Axis, catalogue: Catalogue, units: UnitSystem) => Omit<OrderItem, 'axes'>[]
  /** What it has to say on paper. */
  readonly paper?: (context: EvaluationContext) => PaperBlock[]
  /** What it comes to, for the shell. */
  readonly report?: (context: EvaluationContext) => unknown
}

/** The outcome of a sheet. */
export const defineOutcome = (outcome: Outcome): Outcome => outcome
