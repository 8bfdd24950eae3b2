import { line, type Mark, textBox, words } from './drawing'
import { textWidthMm } from './letterWidths'

// Dimensions as the trade draws them (ISO 129-1): extension lines that leave a gap at the edge and go past the dimension line,
// arrows of 30 degrees, the figure above the line; where there is no room the arrows come from outside.

const FIGURE_MM = 2.5
const ARROW_MM = 2.4
/** Half of an arrow's opening for its length. */
const ARROW_HALF = Math.tan((15 * Math.PI) / 180)
const GAP_MM = 0.8
const PAST_MM = 1.5
const ABOVE_MM = 0.7
/** From one dimension line to the next. */
const ROW_MM = 6
/** White between two dimensions of one row. */
const APART_MM = 2

/** An open arrow with its point at x, y; it points along the direction. */
const arrow = (x: number, y: number, dx: number, dy: number): Mark[] =>
  [1, -1].map(side =>
    line(
      'words',
      x,
      y,
      x - dx * ARROW_MM + side * dy * ARROW_MM * ARROW_HALF,
      y - dy * ARROW_MM + side * dx * ARROW_MM * ARROW_HALF,
    ),
  )

/** A length along x, between two edges of an outline. */
export interface Along {
  fromX: number
  toX: number
  text: string
}

/** What of a row a dimension takes: its arrows or its figure, whichever reach further. */
function reach({ fromX, toX, text }: Along): [number, number] {
  const middle = (fromX + toX) / 2
  const half = textWidthMm(text, FIGURE_MM) / 2
  if (isTight({ fromX, toX, text }))
    return [fromX - 2 * ARROW_MM - APART_MM / 2, toX + 2 * ARROW_MM + 2 * half + APART_MM]
  return [Math.min(fromX, middle - half) - APART_MM / 2, Math.max(toX, middle + half) + APART_MM / 2]
}
/** Too short for its arrows, or for its figure between its extension lines. */
const isTight = ({ fromX, toX, text }: Along) =>
  toX - fromX < Math.max(3 * ARROW_MM, textWidthMm(text, FIGURE_MM) + 1)

/**
 * Lengths one beside the other under an outline, each in the first row where it has room.
 *
 * @param edgeY where the outline ends, from which the extension lines start
 * @param firstMm from there to the first row
 * @returns the marks, and where the last row lies
 */
export function lengthsUnder(
  all: readonly Along[],
  edgeY: number,
  firstMm: number,
): { marks: Mark[]; bottomY: number } {
  const rows: [number, number][][] = []
  const marks: Mark[] = []
  let lowest = 0
  for (const one of all) {
    const [from, to] = reach(one)
    const free = rows.findIndex(row => row.every(([left, right]) => to <= left || from >= right))
    const index = free < 0 ? rows.length : free
    rows[index] = [...(rows[index] ?? []), [from, to]]
    lowest = Math.max(lowest, index)
    marks.push(...lengthAt(one, edgeY, edgeY - firstMm - index * ROW_MM))
  }
  return { marks, bottomY: edgeY - firstMm - lowest * ROW_MM }
}

/** One length along x, with its dimension line at a height. */
export function lengthAt({ fromX, toX, text }: Along, edgeY: number, y: number): Mark[] {
  const down = Math.sign(y - edgeY) || -1
  const extension = (x: number) => line('words', x, edgeY + down * GAP_MM, x, y + down * PAST_MM)
  const tight = isTight({ fromX, toX, text })
  const out = tight ? 2 * ARROW_MM : 0
  return [
    extension(fromX),
    extension(toX),
    line('words', fromX - out, y, toX + (tight ? out + textWidthMm(text, FIGURE_MM) : 0), y),
    ...(tight
      ? [...arrow(fromX, y, 1, 0), ...arrow(toX, y, -1, 0)]
      : [...arrow(fromX, y, -1, 0), ...arrow(toX, y, 1, 0)]),
    // Where it has no room between the arrows it stands beside them.
    words(
      tight ? toX + out : (fromX + toX - textWidthMm(text, FIGURE_MM)) / 2,
      y + ABOVE_MM,
      text,
      FIGURE_MM,
    ),
  ]
}

/** One length along y, at the left of an outline, its figure beside the line. */
export function heightAt(fromY: number, toY: number, text: string, edgeX: number, x: number): Mark[] {
  const extension = (y: number) => line('words', edgeX - GAP_MM, y, x - PAST_MM, y)
  return [
    extension(fromY),
    extension(toY),
    line('words', x, fromY, x, toY),
    ...arrow(x, fromY, 0, -1),
    ...arrow(x, toY, 0, 1),
    words(x - textWidthMm(text, FIGURE_MM) - 1, (fromY + toY) / 2 - FIGURE_MM / 2, text, FIGURE_MM),
  ]
}

/** A diameter told at a line that leads from the circle outward, with its arrow on it. */
export function leader(
  centreX: number,
  centreY: number,
  radiusMm: number,
  text: string,
  outMm: number,
): Mark[] {
  const [ux, uy] = [Math.SQRT1_2, Math.SQRT1_2]
  const [x, y] = [centreX + radiusMm * ux, centreY + radiusMm * uy]
  const [kneeX, kneeY] = [x + outMm * ux, y + outMm * uy]
  const width = textWidthMm(text, FIGURE_MM)
  return [
    line('words', x, y, kneeX, kneeY),
    line('words', kneeX, kneeY, kneeX + width + 1, kneeY),
    ...arrow(x, y, -ux, -uy),
    words(kneeX + 0.5, kneeY + ABOVE_MM, text, FIGURE_MM),
  ]
}

/** White that is left above and below a figure by a line that is broken for it. */
const CLEAR_MM = 0.4

/** Marks whose upright lines are broken where they would run through a figure, as a draughtsman breaks an extension line. */
export function broken(marks: readonly Mark[]): Mark[] {
  const figures = marks.flatMap(mark => (mark.is === 'text' ? [textBox(mark)] : []))
  return marks.flatMap((mark): Mark[] => {
    if (mark.is !== 'line' || mark.layer !== 'words' || mark.x1 !== mark.x2) return [mark]
    const { x1: x } = mark
    const [low, high] = [Math.min(mark.y1, mark.y2), Math.max(mark.y1, mark.y2)]
    const inTheWay = figures
      .filter(({ left, right, bottom, top }) => left < x && x < right && bottom < high && top > low)
      .toSorted((a, b) => a.bottom - b.bottom)
    let from = low
    const pieces: Mark[] = []
    for (const { bottom, top } of inTheWay) {
      if (bottom - CLEAR_MM > from) pieces.push(line('words', x, from, x, bottom - CLEAR_MM))
      from = Math.max(from, top + CLEAR_MM)
    }
    if (inTheWay.length === 0) return [mark]
    return high > from ? [...pieces, line('words', x, from, x, high)] : pieces
  })
}
