import type { Stage } from '../document/stages'
import type { DriveLine } from '../drawing/driveLine'
import { type Overlay, overlaid } from '../drawing/overlay'
import type { EvaluationContext } from '../evaluation/context'
import { type SheetId, sheetsOf } from '.'
import type { DrawOverlay } from './sheet'

/** What a sheet lays down, as far as it is here. */
export type OverlayFor = (sheet: SheetId) => DrawOverlay | undefined

/** The findings of a stage as they lie on the drive line: what each of its sheets lays down. */
export const overlayOf = (
  stage: Stage,
  context: EvaluationContext,
  line: DriveLine,
  overlayFor: OverlayFor,
): Overlay => overlaid(sheetsOf(stage).map(({ id }) => overlayFor(id)?.(context, line) ?? {}))

/**
 * What lies on the drive line beside a sheet: its own, so that the drawing is no taller than what it says; of a sheet that
 * lays nothing down, the marks of its stage without the lengths of other sheets.
 *
 * @param overlayFor what draws for each sheet, also where that had to be fetched first
 */
export function overlayAt(
  sheetId: SheetId,
  stage: Stage,
  context: EvaluationContext,
  line: DriveLine,
  overlayFor: OverlayFor,
): Overlay {
  const own = overlayFor(sheetId)?.(context, line)
  return own ? overlaid([own]) : { ...overlayOf(stage, context, line, overlayFor), spans: [] }
}
