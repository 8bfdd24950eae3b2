import type { DrivePart } from '@/core/drawing/driveLine'
import type { Mark, Span } from '@/core/drawing/overlay'

/** A mark with its place on the drawing, in px. */
export interface Placed extends Mark {
  x: number
  anchorX: number
  row: number
  width: number
}

const CHAR_PX = 7.4
const GAP_PX = 12

/** Sets marks out in rows above the drawing, near their parts and clear of each other. */
export function placeMarks(
  marks: Mark[],
  anchor: (part: DrivePart) => number,
  widthPx: number,
  rows: number,
): Placed[] {
  const ends = Array.from({ length: rows }, () => 4)
  return marks
    .map(mark => ({
      ...mark,
      anchorX: anchor(mark.part),
      width: mark.text.length * CHAR_PX + (mark.state ? 24 : 0),
    }))
    .toSorted((a, b) => a.anchorX - b.anchorX)
    .flatMap(mark => {
      const wanted = Math.max(4, Math.min(mark.anchorX - mark.width / 2, widthPx - mark.width - 4))
      const row = ends.findIndex(end => end <= wanted)
      const chosen = row >= 0 ? row : ends.indexOf(Math.min(...ends))
      const x = Math.max(wanted, ends[chosen] ?? 0)
      if (x + mark.width > widthPx) return []
      ends[chosen] = x + mark.width + GAP_PX
      return [{ ...mark, x, row: chosen }]
    })
}

/** A span with its place under the drawing, in px. */
export interface LaidSpan extends Span {
  fromPx: number
  toPx: number
  /** Middle of the label, and half its width. */
  labelPx: number
  halfPx: number
  row: number
}

const SPAN_CHAR_PX = 6.9

/** Lays spans out in as few rows as they need, in their order, so that none lies on another. */
export function laySpans(spans: Span[], x: (mm: number) => number, widthPx: number): LaidSpan[] {
  const rows: { fromPx: number; toPx: number }[][] = []
  return spans.map(span => {
    const [fromPx, toPx] = [x(span.fromMm), x(span.toMm)]
    const halfPx = (span.label.length * SPAN_CHAR_PX) / 2 + 5
    // A label that would hide its own span stands beside it, on the side where there is room.
    const besidePx = toPx + 2 * halfPx + 6 > widthPx ? fromPx - halfPx - 6 : toPx + halfPx + 6
    const labelPx = Math.max(halfPx, toPx - fromPx > 2 * halfPx ? (fromPx + toPx) / 2 : besidePx)
    const taken = {
      fromPx: Math.min(fromPx, labelPx - halfPx) - GAP_PX / 2,
      toPx: Math.max(toPx, labelPx + halfPx) + GAP_PX / 2,
    }
    const free = rows.findIndex(row => row.every(one => one.toPx <= taken.fromPx || one.fromPx >= taken.toPx))
    const row = free >= 0 ? free : rows.push([]) - 1
    rows[row]?.push(taken)
    return { ...span, fromPx, toPx, labelPx, halfPx, row }
  })
}
