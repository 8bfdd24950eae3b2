import type { Stage } from '../document/stages'
import type { DriveLine } from '../drawing/driveLine'
import { type Overlay, overlaid } from '../drawing/overlay'
import type { EvaluationContext } from '../evaluation/context'
import { SHEETS } from '.'

/** The findings of a stage as they lie on the drive line: what each of its sheets lays down. */
export const overlayOf = (stage: Stage, context: EvaluationContext, line: DriveLine): Overlay =>
  overlaid(SHEETS.filter(sheet => sheet.stage === stage).map(sheet => sheet.overlay?.(context, line) ?? {}))
