import type { Stage } from '../document/stages'
import type { DriveLine } from '../drawing/driveLine'
import { type Overlay, overlaid } from '../drawing/overlay'
import type { EvaluationContext } from '../evaluation/context'
import { type SheetId, sheetOf, sheetsOf } from '.'
import type { Lays } from './sheet'

/** The findings of a stage as they lie on the drive line: what each of its sheets lays down. */
export const overlayOf = (stage: Stage, context: EvaluationContext, line: DriveLine): Overlay =>
  overlaid(sheetsOf(stage).map(sheet => sheet.overlay?.(context, line) ?? {}))

/**
 * What lies on the drive line beside a sheet: its own, so that the drawing is no taller than what it says; of a sheet that
 * lays nothing down, the marks of its stage without the lengths of other sheets.
 *
 * @param came what the sheet lays down where that has to be fetched first
 */
export function overlayAt(
  sheetId: SheetId,
  stage: Stage,
  context: EvaluationContext,
  line: DriveLine,
  came: Lays | null = null,
): Overlay {
  const own = (came ?? sheetOf(sheetId).overlay)?.(context, line)
  return own ? overlaid([own]) : { ...overlayOf(stage, context, line), spans: [] }
}
