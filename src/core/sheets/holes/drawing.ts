import { leader, lengthAt } from '../../drawing/dimension'
import { boundsOf, box, circle, cross, type Drawing, words } from '../../drawing/drawing'
import type { Solid } from '../../drawing/solid'
import { say } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import type { MeasuredHole } from './inputs'

/** Pilot of a hole cutter. */
const PILOT_MM = 6

/** The bung as a body, with its pilot through it. */
export const bungSolid = (
  title: string,
  { existingDiameterMm, centreOffsetMm }: MeasuredHole,
  lengthMm: number,
): Solid => ({
  title,
  outline: { is: 'round', diameterMm: existingDiameterMm },
  holes: [{ x: centreOffsetMm, y: 0, diameterMm: PILOT_MM }],
  thicknessMm: lengthMm,
})

/** The bung that guides a pilot drill where the metal is missing: seen from its end, and from its side. */
export function bungDrawing(
  title: string,
  { existingDiameterMm: d, centreOffsetMm }: MeasuredHole,
  lengthMm: number,
  units: UnitSystem,
): Drawing {
  const length = (mm: number) => say(mm, 'length', units)
  const side = d / 2 + 15
  const marks = [
    circle('edge', 0, 0, d / 2),
    ...cross(0, 0, d / 2 + 4),
    circle('edge', centreOffsetMm, 0, PILOT_MM / 2),
    ...cross(centreOffsetMm, 0, PILOT_MM / 2 + 2),
    ...box('edge', side, -d / 2, lengthMm, d),
    ...lengthAt({ fromX: side, toX: side + lengthMm, text: length(lengthMm) }, -d / 2, -d / 2 - 8),
    ...leader(0, 0, d / 2, `Ø ${length(d)}`, 4),
    ...(centreOffsetMm > 0
      ? lengthAt(
          { fromX: 0, toX: centreOffsetMm, text: length(centreOffsetMm) },
          -PILOT_MM / 2 - 2,
          -d / 2 - 8,
        )
      : []),
    words(-d / 2, -d / 2 - 16, `Pilot Ø ${length(PILOT_MM)}, drilled through.`, 2.5),
  ]
  const { left, top } = boundsOf(marks)
  return { title, marks: [...marks, words(left, top + 4, title, 3.5)] }
}
