import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import type { ListedCheck } from '../evaluation/check'
import { EvaluationContext } from '../evaluation/context'
import type { Finding } from '../evaluation/finding'
import type { LimitFacts } from '../evaluation/limits'
import type { UnitSystem } from '../units/quantity'
import { type CheckId, type LimitKey, SHEETS } from '.'

/** Every check by its id, in the order of the sheets. */
export const CHECKS: ReadonlyMap<string, ListedCheck> = new Map(
  SHEETS.flatMap(({ id: sheet, stage, checks = {} }) =>
    Object.entries(checks).map(([checkId, check]): [string, ListedCheck] => [
      checkId,
      { ...check, checkId, sheet, stage },
    ]),
  ),
)

/** What every check is held to, by the key of the limit. */
export const LIMITS = Object.assign({}, ...SHEETS.map(({ limits }) => limits)) as Record<LimitKey, LimitFacts>

/** An evaluation whose checks are known by name. */
export interface Evaluation extends EvaluationContext {
  finding(checkId: CheckId): Finding | null
}

/**
 * One state of an axis, judged: fast enough for every key stroke, and only as far as it is asked for.
 *
 * @param units the units that sentences are written in
 * @returns the context that remembers every figure and finding; hand it on
 * @example evaluateAxis(axis, CATALOGUE, 'mm').finding('room.travel')?.state // 'holds'
 */
export const evaluateAxis = (axis: Axis, catalogue: Catalogue, units: UnitSystem): Evaluation =>
  new EvaluationContext(axis, catalogue, units, CHECKS) as Evaluation
