import type { CalculationFacts } from '../calculation/calculation'
import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import type { Stage } from '../document/stages'
import type { DriveLine } from '../drawing/driveLine'
import type { Overlay } from '../drawing/overlay'
import type { PaperBlock } from '../drawing/paper'
import type { Check } from '../evaluation/check'
import type { EvaluationContext } from '../evaluation/context'
import type { LimitFacts } from '../evaluation/limits'
import type { RemedyFinder } from '../evaluation/remedy'
import type { Fields } from '../field/field'
import type { Cut } from '../machine/cut'
import type { OrderItem } from '../machine/orderItem'
import type { UnitSystem } from '../units/quantity'

/**
 * One subject of a stage: what is kept of it, what follows, what is judged, and what can be done about it. Everything
 * that the app folds out of the list of sheets is a field here; what a sheet has nothing of is left out.
 */
export interface Sheet {
  readonly id: string
  readonly stage: Stage
  readonly title: string
  /** What it keeps on an axis, by the names that its model adds to the axis. */
  readonly fields?: Fields
  readonly checks?: Readonly<Record<string, Check>>
  readonly limits?: Readonly<Record<string, LimitFacts>>
  /** What may mend each of its checks, in the order in which it is offered. */
  readonly remedies?: Readonly<Partial<Record<string, readonly RemedyFinder[]>>>
  /** Calculations that are its own, for the reference and the shell. */
  readonly calculations?: readonly CalculationFacts[]
  /** What it lays on the drive line of its stage. */
  readonly overlay?: (context: EvaluationContext, line: DriveLine) => Partial<Overlay>
  /** Metal that it wants cut. @throws NotKnown while that is not known */
  readonly cuts?: (context: EvaluationContext) => Cut[]
  /** What it needs bought for an axis. */
  readonly orders?: (axis: Axis, catalogue: Catalogue, units: UnitSystem) => Omit<OrderItem, 'axes'>[]
  /** What it has to say on paper. */
  readonly paper?: (context: EvaluationContext) => PaperBlock[]
  /** What it comes to, for the shell. */
  readonly report?: (context: EvaluationContext) => unknown
}

type NoneOf = Record<never, never>

/** A sheet; that its remedies belong to its own checks is seen by the compiler, and its ids are kept as types. */
export const defineSheet = <
  const Id extends string,
  const Checks extends Readonly<Record<string, Check>> = NoneOf,
  const Limits extends Readonly<Record<string, LimitFacts>> = NoneOf,
>(
  sheet: Omit<Sheet, 'id' | 'checks' | 'limits' | 'remedies'> & {
    id: Id
    checks?: Checks
    limits?: Limits
    remedies?: { readonly [K in keyof Checks]?: readonly RemedyFinder[] }
  },
) =>
  sheet as Omit<Sheet, 'id' | 'checks' | 'limits'> & {
    readonly id: Id
    readonly checks: Checks
    readonly limits: Limits
  }
