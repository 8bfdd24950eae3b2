import { boundsOf, box, circle, cross, type Drawing, line, type Mark, words } from '../../drawing/drawing'
import { type Filled, isFilled } from '../../evaluation/filled'
import { say, saySold } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import type { BracketHole } from './model'

/** Length of the bar by which a print is checked: a rule laid on it must read this. */
export const CHECK_BAR_MM = 100

/** The bar with a tick every 10 mm, and what it is for. */
function checkBar(x: number, y: number, units: UnitSystem): Mark[] {
  const ticks = Array.from({ length: CHECK_BAR_MM / 10 + 1 }, (_, index) =>
    line('words', x + 10 * index, y, x + 10 * index, y + (index % 5 === 0 ? 4 : 2.5)),
  )
  return [
    line('words', x, y, x + CHECK_BAR_MM, y),
    ...ticks,
    words(
      x,
      y - 5,
      `This bar is ${saySold(CHECK_BAR_MM, units)}: lay a rule on it before you punch. Print at 100 %.`,
    ),
  ]
}

/** Whether a hole can be drawn: where it is and how wide are entered. */
export const isPlaced = (hole: BracketHole): hole is Filled<BracketHole, 'xMm' | 'yMm' | 'diameterMm'> =>
  isFilled(hole, ['xMm', 'yMm', 'diameterMm'])

/**
 * A drilling template of the nut bracket about the screw axis: outline, bore, every hole with its cross, a bar to check.
 *
 * @param outline of the bracket, even about the axis; none where both are 0
 * @param boreMm of the nut's body through the bracket
 */
export function bracketTemplate(
  title: string,
  holes: readonly BracketHole[],
  outline: { widthMm: number; heightMm: number },
  boreMm: number,
  units: UnitSystem,
): Drawing {
  const { widthMm, heightMm } = outline
  const marks: Mark[] = [
    ...(widthMm > 0 && heightMm > 0 ? box('edge', -widthMm / 2, -heightMm / 2, widthMm, heightMm) : []),
    circle('edge', 0, 0, boreMm / 2),
    ...cross(0, 0, boreMm / 2 + 8),
    ...holes
      .filter(isPlaced)
      .flatMap(({ label, xMm, yMm, diameterMm }) => [
        circle('edge', xMm, yMm, diameterMm / 2),
        ...cross(xMm, yMm, diameterMm / 2 + 3),
        words(xMm + diameterMm / 2 + 1.5, yMm + 1.5, `${label}: ${say(diameterMm, 'length', units)}`, 2.5),
      ]),
  ]
  const { left, bottom, top } = boundsOf(marks)
  return {
    title,
    marks: [...marks, ...checkBar(left, bottom - 14, units), words(left, top + 6, title, 4)],
  }
}
