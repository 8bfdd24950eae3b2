import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import { type ListedCheck, plainFindings } from '../evaluation/check'
import { EvaluationContext } from '../evaluation/context'
import type { Finding } from '../evaluation/finding'
import type { UnitSystem } from '../units/quantity'
import { type CheckId, SHEETS, type SheetId, sheetOf } from '.'
import { listed } from './firstChecks'
import { LATER, type Later } from './later'
import type { Lays } from './sheet'

const later: Partial<Record<SheetId, Later>> = LATER

/** Every check by its id, in the order of the sheets. */
export const CHECKS: ReadonlyMap<string, ListedCheck> = listed(
  SHEETS.map(sheet => ({ ...sheet, checks: sheet.checks ?? later[sheet.id]?.checks })),
)

/** What any sheet lays on the drive line, without what is fetched when it is opened. */
export const laysOf = (id: SheetId): Lays | undefined => sheetOf(id).overlay ?? later[id]?.overlay

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

/** What an axis is found to be in the stages whose checks come later, for a screen that does not have them yet. */
export const laterFindings = (axis: Axis, catalogue: Catalogue, units: UnitSystem): Finding[] =>
  plainFindings(
    evaluateAxis(axis, catalogue, units).findings.filter(({ sheet }) => Object.hasOwn(LATER, sheet)),
  )
