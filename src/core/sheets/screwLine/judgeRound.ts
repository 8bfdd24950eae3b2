import { screwLine } from './calculation'
import type { AlignRound } from './model'

export const PLANES = ['height', 'side'] as const
export type Plane = (typeof PLANES)[number]

/** What to do with one block in one plane. */
interface BlockMove {
  block: 'fixed' | 'far'
  /** Positive in the direction in which the reading grows: up, or towards the operator. */
  moveUm: number
}

/** What one plane of a round says. */
export type PlaneAdvice =
  | { kind: 'too-few'; readings: number }
  | { kind: 'poor'; line: LineFigures; moves: BlockMove[] }
  | { kind: 'in-line' | 'move'; line: LineFigures; moves: BlockMove[]; unchecked: boolean }

type LineFigures = ReturnType<typeof screwLine>
interface Inputs {
  stations: { positionMm: number; readingUm: number }[]
  referenceMm: number
  fixedBlockMm: number
  farBlockMm: number
}

/** A residual above this share of the largest correction says: bent screw, or poor readings. */
const POOR_SHARE = 1 / 3

/** The readings of one plane, as the line calculation takes them; null when there are fewer than two. */
export function lineInputs(round: AlignRound, plane: Plane, supportSpanMm: number): Inputs | null {
  const stations = round.stations.flatMap(({ positionMm, heightUm, sideUm }) => {
    const readingUm = plane === 'height' ? heightUm : sideUm
    return readingUm === null ? [] : [{ positionMm, readingUm }]
  })
  const places = new Set(stations.map(({ positionMm }) => positionMm))
  return places.size < 2
    ? null
    : { stations, referenceMm: round.clampedAtMm, fixedBlockMm: 0, farBlockMm: supportSpanMm }
}

/**
 * Judges one plane of a round of readings.
 *
 * @param targetUm how far a block may be out of line
 * @returns "in-line" when both blocks are within the target; "move" with how far each block must go; "poor"
 *   when the readings lie so far off a straight line that no advice can rest on them; "too-few" below two
 * @example with readings 0 and 30 um at 100 and 400 mm, the nut clamped at 100: move the far block -35 um for a span of 450
 */
export function judgePlane(
  round: AlignRound,
  plane: Plane,
  supportSpanMm: number,
  targetUm: number,
): PlaneAdvice {
  const inputs = lineInputs(round, plane, supportSpanMm)
  if (!inputs) {
    const readings = round.stations.filter(s => (plane === 'height' ? s.heightUm : s.sideUm) !== null).length
    return { kind: 'too-few', readings }
  }
  const line = screwLine(inputs)
  const moves: BlockMove[] = [
    { block: 'fixed', moveUm: line.correctionFixedUm },
    { block: 'far', moveUm: line.correctionFarUm },
  ]
  const largestUm = Math.max(...moves.map(({ moveUm }) => Math.abs(moveUm)))
  // Residuals as large as the target itself would hide a screw that is out of line or bent.
  if (line.worstResidualUm > Math.max(targetUm, POOR_SHARE * largestUm)) return { kind: 'poor', line, moves }
  const needed = moves.filter(({ moveUm }) => Math.abs(moveUm) > targetUm)
  const unchecked = inputs.stations.length === 2
  return needed.length
    ? { kind: 'move', line, moves: needed, unchecked }
    : { kind: 'in-line', line, moves, unchecked }
}

/** The largest correction of a round over both planes, for showing how rounds converge; null while unread. */
export function worstCorrectionUm(round: AlignRound, supportSpanMm: number): number | null {
  const sizes = PLANES.flatMap(plane => {
    const inputs = lineInputs(round, plane, supportSpanMm)
    if (!inputs) return []
    const line = screwLine(inputs)
    return [Math.abs(line.correctionFixedUm), Math.abs(line.correctionFarUm)]
  })
  return sizes.length ? Math.max(...sizes) : null
}
