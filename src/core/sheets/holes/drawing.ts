import { boundsOf, box, circle, cross, type Drawing, words } from '../../drawing/drawing'
import type { Hole } from './model'

/** The bung that guides a pilot drill where the metal is missing: seen from its end, and from its side. */
export function bungDrawing(
  title: string,
  { existingDiameterMm: d, centreOffsetMm, depthMm }: Hole,
): Drawing {
  const PILOT_MM = 6
  const pilotMm = Math.min(PILOT_MM, d / 3)
  const side = d / 2 + 15
  const marks = [
    circle('edge', 0, 0, d / 2),
    ...cross(0, 0, d / 2 + 4),
    circle('edge', centreOffsetMm, 0, pilotMm / 2),
    ...cross(centreOffsetMm, 0, pilotMm / 2 + 2),
    ...box('edge', side, -d / 2, depthMm, d),
    words(side, d / 2 + 2, `${d} dia, ${depthMm} long`, 2.5),
    words(
      -d / 2,
      -d / 2 - 8,
      `pilot ${Math.round(pilotMm * 10) / 10}, ${centreOffsetMm} off the middle`,
      2.5,
    ),
  ]
  const { left, top } = boundsOf(marks)
  return { title, marks: [...marks, words(left, top + 4, title, 3.5)] }
}
