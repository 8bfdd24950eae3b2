import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import { type CheckMap, plainFindings } from '../evaluation/check'
import { EvaluationContext } from '../evaluation/context'
import type { Finding } from '../evaluation/finding'
import type { UnitSystem } from '../units/quantity'
import { FIRST } from './first.generated'
import { listed } from './firstChecks'
import type { OverlayFor } from './overlay'
import { STAGE } from './stage.generated'

const JUDGED = { ...FIRST, ...STAGE }

/** Every check by its id, in the order of the sheets. */
export const CHECKS: CheckMap = listed(JUDGED)

/** What draws the overlay of any sheet, but for those that are fetched when the sheet is opened. */
export const overlayFor: OverlayFor = id => JUDGED[id]?.overlay

/**
 * One state of an axis, judged: fast enough for every key stroke, and only as far as it is asked for.
 *
 * @param units the units that sentences are written in
 * @returns the context that remembers every figure and finding; hand it on
 * @example evaluateAxis(axis, CATALOGUE, 'mm').finding('room.travel')?.state // 'holds'
 */
export const evaluateAxis = (axis: Axis, catalogue: Catalogue, units: UnitSystem): EvaluationContext =>
  new EvaluationContext(axis, catalogue, units, CHECKS)

/** What an axis is found to be in the stages whose checks come later, for a screen that does not have them yet. */
export const laterFindings = (axis: Axis, catalogue: Catalogue, units: UnitSystem): Finding[] =>
  plainFindings(
    evaluateAxis(axis, catalogue, units).findings.filter(({ sheet }) => Object.hasOwn(STAGE, sheet)),
  )
