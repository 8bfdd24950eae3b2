import type { Stage } from '../document/stages'
import type { DriveLine } from '../drawing/driveLine'
import type { Overlay } from '../drawing/overlay'
import type { Check } from '../evaluation/check'
import type { EvaluationContext } from '../evaluation/context'
import type { LimitFacts } from '../evaluation/limits'
import type { Fields } from '../field/field'

/** What is laid on the drive line. */
export type Lays = (context: EvaluationContext, line: DriveLine) => Partial<Overlay>

/**
 * One subject of a stage: what is kept of it, what is judged, and what it lays on the drive line: all that a screen needs
 * at every key. What comes of it beside that stands in its outcome. What a sheet has nothing of is left out.
 */
export interface Sheet {
  readonly id: string
  readonly stage: Stage
  readonly title: string
  /** What it keeps on an axis, by the names that its model adds to the axis. */
  readonly fields?: Fields
  readonly checks?: Readonly<Record<string, Check>>
  readonly limits?: Readonly<Record<string, LimitFacts>>
  /** What it lays on the drive line of its stage. */
  readonly overlay?: Lays
  /** The same, where it takes the whole text of the build: it comes when the sheet is opened. */
  readonly overlayLater?: () => Promise<Lays>
}

type NoneOf = Record<never, never>

/** A sheet; its ids are kept as types. */
export const defineSheet = <
  const Id extends string,
  const Checks extends Readonly<Record<string, Check>> = NoneOf,
  const Limits extends Readonly<Record<string, LimitFacts>> = NoneOf,
>(
  sheet: Omit<Sheet, 'id' | 'checks' | 'limits'> & { id: Id; checks?: Checks; limits?: Limits },
) =>
  sheet as Omit<Sheet, 'id' | 'checks' | 'limits'> & {
    readonly id: Id
    readonly checks: Checks
    readonly limits: Limits
  }
