import { type Mark, type Rectangle, textBox, words } from './drawing'

/** White kept around a label. */
const CLEAR_MM = 0.6

/**
 * Places a label beside a hole where it lies on nothing: to the right, left, above or below, then further out.
 *
 * @param marks what is drawn already, labels too
 * @param radiusMm around the hole, with its cross
 * @returns the label at the first place that is free; at the first of all where none is
 */
export function labelBeside(
  marks: readonly Mark[],
  { x, y, radiusMm }: { x: number; y: number; radiusMm: number },
  text: string,
  heightMm: number,
): Mark {
  const { right: width } = textBox({ x: 0, y: 0, heightMm, text })
  const places = [1, 5, 9, 14].flatMap(gapMm => {
    const outMm = radiusMm + gapMm
    return [
      [x + outMm, y - heightMm / 2],
      [x - outMm - width, y - heightMm / 2],
      [x + 2, y + outMm],
      [x + 2, y - outMm - heightMm],
      [x - 2 - width, y + outMm],
      [x - 2 - width, y - outMm - heightMm],
      [x + outMm * 0.75, y + outMm * 0.75],
      [x - outMm * 0.75 - width, y + outMm * 0.75],
      [x + outMm * 0.75, y - outMm * 0.75 - heightMm],
      [x - outMm * 0.75 - width, y - outMm * 0.75 - heightMm],
    ] as [number, number][]
  })
  const isFree = ([left, bottom]: [number, number]) => {
    const box = textBox({ x: left, y: bottom, heightMm, text })
    return !marks.some(mark => touches(mark, grown(box)))
  }
  const [left, bottom] = places.find(isFree) ?? (places[0] as [number, number])
  return words(left, bottom, text, heightMm)
}

const grown = ({ left, bottom, right, top }: Rectangle): Rectangle => ({
  left: left - CLEAR_MM,
  bottom: bottom - CLEAR_MM,
  right: right + CLEAR_MM,
  top: top + CLEAR_MM,
})

/** Whether a mark runs through a rectangle. */
export function touches(mark: Mark, box: Rectangle): boolean {
  switch (mark.is) {
    case 'line':
      return crosses(mark, box)
    case 'circle': {
      const near = Math.hypot(
        mark.x - Math.min(Math.max(mark.x, box.left), box.right),
        mark.y - Math.min(Math.max(mark.y, box.bottom), box.top),
      )
      const far = Math.hypot(
        Math.max(Math.abs(mark.x - box.left), Math.abs(mark.x - box.right)),
        Math.max(Math.abs(mark.y - box.bottom), Math.abs(mark.y - box.top)),
      )
      return near <= mark.r && mark.r <= far
    }
    case 'text': {
      const { left, bottom, right, top } = textBox(mark)
      return left < box.right && box.left < right && bottom < box.top && box.bottom < top
    }
  }
}

/** Whether a line has a part within a rectangle, after Liang and Barsky. */
function crosses(
  { x1, y1, x2, y2 }: { x1: number; y1: number; x2: number; y2: number },
  { left, bottom, right, top }: Rectangle,
): boolean {
  let from = 0
  let to = 1
  for (const [step, room] of [
    [x1 - x2, x1 - left],
    [x2 - x1, right - x1],
    [y1 - y2, y1 - bottom],
    [y2 - y1, top - y1],
  ] as const) {
    if (step === 0) {
      if (room < 0) return false
    } else if (step < 0) from = Math.max(from, room / step)
    else to = Math.min(to, room / step)
  }
  return from <= to
}
