import { radians } from '../../calculation/constants'
import { coverageFactor } from '../../calculation/studentLaw'
import type { ScrewEnds } from '../../document/kinds'
import type { EvaluationContext } from '../../evaluation/context'
import { screwSag } from '../../machine/sizing/screw'
import { screwLine } from './calculation'
import type { AlignRound } from './model'

export const PLANES = ['height', 'side'] as const
export type Plane = (typeof PLANES)[number]

/** What to do with one block in one plane. */
export interface BlockMove {
  block: 'fixed' | 'far'
  /** Positive in the direction in which the reading grows: up, or towards the operator. */
  moveUm: number
  /** How well the readings know it, to each side at 95 %. */
  uncertainUm: number
}

/** What one plane of a round says. */
export type PlaneAdvice =
  | { kind: 'too-few'; readings: number }
  | { kind: 'poor'; line: LineFigures; moves: BlockMove[] }
  /** The readings lie too close together for what they should say about a block. */
  | { kind: 'unsure'; line: LineFigures; moves: BlockMove[]; unsure: BlockMove }
  | { kind: 'in-line' | 'move'; line: LineFigures; moves: BlockMove[]; unchecked: boolean }

type LineFigures = ReturnType<typeof screwLine>
interface Inputs {
  stations: { positionMm: number; readingUm: number }[]
  referenceMm: number
  fixedBlockMm: number
  farBlockMm: number
}

/** From here on an axis stands up: what is read as height is out from its ways. */
const UPRIGHT_DEG = 60
export const isUpright = ({ dimensions }: EvaluationContext['axis']): boolean =>
  (dimensions.inclineDeg.value ?? 0) > UPRIGHT_DEG

/** What the line of a screw is read on: how long it is between its blocks, and how it hangs there. */
export interface LineSetting {
  spanMm: number
  ends: ScrewEnds
  inclineDeg: number
  /** None until a screw is chosen: its sag is not taken out then. */
  rootDiameterMm: number | null
}

export const lineSetting = (
  { axis, catalogue }: Pick<EvaluationContext, 'axis' | 'catalogue'>,
  spanMm: number,
): LineSetting => ({
  spanMm,
  ends: axis.ends,
  inclineDeg: axis.dimensions.inclineDeg.value ?? 0,
  rootDiameterMm: catalogue.screw.get(axis.parts.screw ?? '')?.rootDiameterMm ?? null,
})

/**
 * How far the screw hangs down at a place by its own weight. The fixed block and the clamped nut hold it like walls, the
 * far block as it is chosen.
 */
export function sagUm(
  { spanMm, ends, inclineDeg, rootDiameterMm }: LineSetting,
  clampedAtMm: number,
  positionMm: number,
): number {
  if (rootDiameterMm === null || positionMm <= 0 || positionMm >= spanMm) return 0
  const nutMm = Math.min(Math.max(clampedAtMm, 0), spanMm)
  const beyond = positionMm > nutMm
  const lengthMm = beyond ? spanMm - nutMm : nutMm
  if (lengthMm <= 0) return 0
  const held =
    ends === 'fixed-free' ? 'fixed-free' : ends === 'fixed-fixed' ? 'fixed-fixed' : 'fixed-supported'
  const { sagUm: level } = screwSag.compute({
    rootDiameterMm,
    lengthMm,
    ends: beyond ? held : ends === 'supported-supported' ? 'fixed-supported' : 'fixed-fixed',
    // Each stretch is reckoned from its wall: beyond the nut that is the nut.
    positionMm: beyond
      ? positionMm - nutMm
      : ends === 'supported-supported'
        ? nutMm - positionMm
        : positionMm,
  })
  return level * Math.cos(radians(inclineDeg))
}

/** A residual above this share of the largest correction says: bent screw, or poor readings. */
const POOR_SHARE = 1 / 3

/**
 * The readings of one plane, as the line calculation takes them, in height with the sag of the screw taken out; null
 * when there are fewer than two places.
 */
export function lineInputs(round: AlignRound, plane: Plane, setting: LineSetting): Inputs | null {
  const stations = round.stations.flatMap(({ positionMm, heightUm, sideUm }) => {
    const readUm = plane === 'height' ? heightUm : sideUm
    if (readUm === null) return []
    const sag = plane === 'height' ? sagUm(setting, round.clampedAtMm, positionMm) : 0
    return [{ positionMm, readingUm: readUm + sag }]
  })
  const places = new Set(stations.map(({ positionMm }) => positionMm))
  return places.size < 2
    ? null
    : { stations, referenceMm: round.clampedAtMm, fixedBlockMm: 0, farBlockMm: setting.spanMm }
}

/**
 * How well the slope through readings is known, per millimetre, to each side at 95 %. Two readings say nothing of their
 * own spread: then a whole step of the gauge stands for it.
 */
function slopeUncertainty({ stations }: Inputs, line: LineFigures, stepUm: number): number {
  const count = stations.length
  const meanMm = stations.reduce((sum, { positionMm }) => sum + positionMm, 0) / count
  const spreadMm2 = stations.reduce((sum, { positionMm }) => sum + (positionMm - meanMm) ** 2, 0)
  const meanUm = stations.reduce((sum, { readingUm }) => sum + readingUm, 0) / count
  const squares = stations.reduce((sum, { positionMm, readingUm }) => {
    const residual = readingUm - meanUm - (line.slopeUmPerM / 1000) * (positionMm - meanMm)
    return sum + residual ** 2
  }, 0)
  if (count === 2) return (coverageFactor(0.95, null) * stepUm) / Math.sqrt(spreadMm2)
  const spread = squares / (count - 2)
  const variance = spread + stepUm ** 2 / 12
  const degrees = (variance ** 2 / spread ** 2) * (count - 2)
  return (
    (coverageFactor(0.95, Number.isFinite(degrees) ? degrees : null) * Math.sqrt(variance)) /
    Math.sqrt(spreadMm2)
  )
}

/**
 * Judges one plane of a round of readings.
 *
 * @param targetUm how far a block may be out of line
 * @param stepUm of the gauge
 * @returns "in-line" when both blocks are surely within the target; "move" with how far each block must go, known to
 *   within the target or half of itself; "unsure" where the readings cannot tell; "poor" when they lie so far off a
 *   straight line that no advice can rest on them; "too-few" below two
 * @example with readings 0 and 30 um at 100 and 400 mm, the nut clamped at 100: move the far block -35 um for a span of 450
 */
export function judgePlane(
  round: AlignRound,
  plane: Plane,
  setting: LineSetting,
  targetUm: number,
  stepUm: number,
): PlaneAdvice {
  const inputs = lineInputs(round, plane, setting)
  if (!inputs) {
    const readings = round.stations.filter(s => (plane === 'height' ? s.heightUm : s.sideUm) !== null).length
    return { kind: 'too-few', readings }
  }
  const line = screwLine(inputs)
  const slope = slopeUncertainty(inputs, line, stepUm)
  const moves: BlockMove[] = [
    {
      block: 'fixed',
      moveUm: line.correctionFixedUm,
      uncertainUm: slope * Math.abs(inputs.referenceMm - inputs.fixedBlockMm),
    },
    // A free end has no block to move.
    ...(setting.ends === 'fixed-free'
      ? []
      : [
          {
            block: 'far' as const,
            moveUm: line.correctionFarUm,
            uncertainUm: slope * Math.abs(inputs.referenceMm - inputs.farBlockMm),
          },
        ]),
  ]
  const largestUm = Math.max(...moves.map(({ moveUm }) => Math.abs(moveUm)))
  // Residuals as large as the target itself would hide a screw that is out of line or bent.
  if (line.worstResidualUm > Math.max(targetUm, POOR_SHARE * largestUm)) return { kind: 'poor', line, moves }
  const within = ({ moveUm, uncertainUm }: BlockMove) => Math.abs(moveUm) + uncertainUm <= targetUm
  const known = ({ moveUm, uncertainUm }: BlockMove) =>
    Math.abs(moveUm) > targetUm && uncertainUm <= Math.max(targetUm, Math.abs(moveUm) / 2)
  const unsure = moves.find(move => !within(move) && !known(move))
  const needed = moves.filter(known)
  const unchecked = inputs.stations.length === 2
  if (unsure && needed.length === 0) return { kind: 'unsure', line, moves, unsure }
  return needed.length
    ? { kind: 'move', line, moves: needed, unchecked }
    : { kind: 'in-line', line, moves, unchecked }
}

/** The largest correction of a round over both planes, for showing how rounds converge; null while unread. */
export function worstCorrectionUm(round: AlignRound, setting: LineSetting): number | null {
  const sizes = PLANES.flatMap(plane => {
    const inputs = lineInputs(round, plane, setting)
    if (!inputs) return []
    const line = screwLine(inputs)
    return setting.ends === 'fixed-free'
      ? [Math.abs(line.correctionFixedUm)]
      : [Math.abs(line.correctionFixedUm), Math.abs(line.correctionFarUm)]
  })
  return sizes.length ? Math.max(...sizes) : null
}
