import type { DrivePart } from '@/core/room/driveLine'
import type { State } from '@/core/verdicts/finding'

/** A finding of the stage, laid on a part of the drive line. */
export interface Mark {
  part: DrivePart
  text: string
  state?: State
}
/** A length measured out under the drive line. */
export interface Span {
  fromMm: number
  toMm: number
  label: string
  tone: 'ink' | 'fails' | 'lamp'
}
/** The line of the screw as read, bent away from true for the eye. */
export interface Bend {
  label: string
  /** Offsets in um at the fixed and the far block, up on the screen. */
  fixedUm: number
  farUm: number
}

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
