import { boundsOf, box, circle, cross, type Drawing, type Mark, words } from '../../drawing/drawing'
import { labelBeside } from '../../drawing/label'
import { type Filled, isFilled } from '../../evaluation/filled'
import { say } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import type { BracketHole } from './model'

/** Whether a hole can be drawn: where it is and how wide are entered. */
export const isPlaced = (hole: BracketHole): hole is Filled<BracketHole, 'xMm' | 'yMm' | 'diameterMm'> =>
  isFilled(hole, ['xMm', 'yMm', 'diameterMm'])

/**
 * A drilling template of the nut bracket about the screw axis: outline, bore, every hole with its cross.
 *
 * @param outline of the bracket, even about the axis; none where it is not measured, or 0
 * @param boreMm of the nut's body through the bracket
 */
export function bracketTemplate(
  title: string,
  holes: readonly BracketHole[],
  outline: { widthMm: number | null; heightMm: number | null },
  boreMm: number,
  units: UnitSystem,
): Drawing {
  const [widthMm, heightMm] = [outline.widthMm ?? 0, outline.heightMm ?? 0]
  const marks: Mark[] = [
    ...(widthMm > 0 && heightMm > 0 ? box('edge', -widthMm / 2, -heightMm / 2, widthMm, heightMm) : []),
    circle('edge', 0, 0, boreMm / 2),
    ...cross(0, 0, boreMm / 2 + 8),
    ...holes
      .filter(isPlaced)
      .flatMap(({ xMm, yMm, diameterMm }) => [
        circle('edge', xMm, yMm, diameterMm / 2),
        ...cross(xMm, yMm, diameterMm / 2 + 3),
      ]),
  ]
  // When all that is cut is drawn: so that no label lies on any of it.
  for (const { label, xMm, yMm, diameterMm } of holes.filter(isPlaced))
    marks.push(
      labelBeside(
        marks,
        { x: xMm, y: yMm, radiusMm: diameterMm / 2 },
        `${label}: Ø ${say(diameterMm, 'length', units)}`,
        2.5,
      ),
    )
  const { left, top } = boundsOf(marks)
  return { title, marks: [...marks, words(left, top + 6, title, 4)] }
}
