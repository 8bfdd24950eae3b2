import { radians } from '../../calculation/constants'
import { standardErrorOf } from '../../calculation/leastSquares'
import { AT_95, coverageFactor } from '../../calculation/studentLaw'
import type { ScrewEnds } from '../../document/kinds'
import type { EvaluationContext } from '../../evaluation/context'
import { screwSag } from '../../machine/sizing/screw'
import { openStations } from '../shared/rounds/closing'
import { type BentInputs, bentFit, screwBent, screwLine } from './calculation'
import { type AlignRound, closes } from './model'

export const PLANES = ['height', 'side'] as const
export type Plane = (typeof PLANES)[number]

/** What to do with one block in one plane. */
export interface BlockMove {
  block: 'fixed' | 'far'
  /** Positive in the direction in which the reading grows: up, or towards the operator. */
  moveUm: number
  /** How well the readings know it, to each side at 95 %, and the sag of the screw. */
  uncertainUm: number
  /** What of that is the sag: no reading makes it less. */
  sagUm: number
}

/** What one plane of a round says. */
export type PlaneAdvice =
  | { kind: 'too-few'; readings: number }
  | { kind: 'poor'; line: LineFigures; moves: BlockMove[] }
  /** The readings lie too close together for what they should say about a block. */
  | { kind: 'unsure'; line: LineFigures; moves: BlockMove[]; unsure: BlockMove; bends: boolean }
  | {
      kind: 'in-line' | 'move'
      line: LineFigures
      moves: BlockMove[]
      unchecked: boolean
      /** A block of which the readings cannot tell, beside those that they can. */
      beside: BlockMove | null
    }

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

/** The sag of a screw is known to this share: between walls it is a fifth of what it is between hinges. */
const SAG_KNOWN_TO = 0.3

/** A residual above this share of the largest correction says: bent screw, or poor readings. */
const POOR_SHARE = 1 / 3

/**
 * The readings of one plane, as the line calculation takes them, in height with the sag of the screw taken out; null
 * when there are fewer than two places.
 */
export function lineInputs(round: AlignRound, plane: Plane, setting: LineSetting): Inputs | null {
  const stations = openStations({ closes }, round).flatMap(({ positionMm, heightUm, sideUm }) => {
    const readUm = plane === 'height' ? heightUm : sideUm
    if (readUm === null) return []
    // With its far block slack it hangs out from the nut like one with a free end.
    const hangs = round.tight === 'fixed' ? { ...setting, ends: 'fixed-free' as const } : setting
    const sag = plane === 'height' ? sagUm(hangs, round.clampedAtMm, positionMm) : 0
    // A dial that shows less as its tip is pushed in shows what stands higher as lower.
    return [{ positionMm, readingUm: (round.tipLifted === 'less' ? -readUm : readUm) + sag }]
  })
  const places = new Set(stations.map(({ positionMm }) => positionMm))
  return places.size < 2
    ? null
    : { stations, referenceMm: round.clampedAtMm, fixedBlockMm: 0, farBlockMm: setting.spanMm }
}

/** A plane whose readings spread by no more than so many times the squares of the other was read alike. */
const ALIKE_TIMES = 4
/** A block near the clamped nut is off by up to so many times what the tilt of the nut shows. */
const NEAR_HIDES = 1.4
/** A straight line that readings lie off by no more than so many times the squares is straight enough. */
const STRAIGHT_TIMES = 1.5
/** A shape with a bend in it asks for so many places. */
const FEWEST_BENT = 6

/** What is fitted to a plane: what each block is off by, how far readings lie off it, and how well it is known. */
interface Fit {
  line: LineFigures
  /** The block that the bend is towards; null of a straight line. */
  away: BlockMove['block'] | null
  squares: number
  spare: number
  /** What a block is uncertain by for each micrometre by which a reading is. */
  leverOf: Readonly<Record<BlockMove['block'], number>>
}

/** Whether two tight blocks may bend the screw between them, and enough is read to tell how. */
function mayBend(round: AlignRound, setting: LineSetting, inputs: Inputs): boolean {
  const places = new Set(inputs.stations.map(({ positionMm }) => positionMm))
  return round.tight === 'both' && setting.ends !== 'fixed-free' && places.size >= FEWEST_BENT
}

/** Whether readings are those of a screw that is bent between its blocks. */
export const isBent = (round: AlignRound, setting: LineSetting, inputs: Inputs): boolean =>
  fitOf(round, setting, inputs).away !== null

/** The same readings as a screw that two tight blocks bend. */
export const bentInputs = (inputs: Inputs, { ends }: LineSetting): BentInputs => ({
  ...inputs,
  held: ends === 'fixed-fixed' ? 'fixed' : 'supported',
})

function straightFit(inputs: Inputs): Fit {
  const line = screwLine(inputs)
  const { stations, referenceMm, fixedBlockMm, farBlockMm } = inputs
  const count = stations.length
  const meanMm = stations.reduce((sum, { positionMm }) => sum + positionMm, 0) / count
  const meanUm = stations.reduce((sum, { readingUm }) => sum + readingUm, 0) / count
  const spreadMm = Math.sqrt(stations.reduce((sum, { positionMm }) => sum + (positionMm - meanMm) ** 2, 0))
  const squares = stations.reduce(
    (sum, { positionMm, readingUm }) =>
      sum + (readingUm - meanUm - (line.slopeUmPerM / 1000) * (positionMm - meanMm)) ** 2,
    0,
  )
  return {
    line,
    away: null,
    squares,
    spare: count - 2,
    leverOf: {
      fixed: Math.abs(referenceMm - fixedBlockMm) / spreadMm,
      far: Math.abs(referenceMm - farBlockMm) / spreadMm,
    },
  }
}

function fitOf(round: AlignRound, setting: LineSetting, inputs: Inputs): Fit {
  const bent = mayBend(round, setting, inputs) ? bentFit(bentInputs(inputs, setting)) : null
  const straight = straightFit(inputs)
  if (!bent) return straight
  // Blocks that are in line with each other and not with the ways leave it straight: nothing bends it then.
  const bentSquare = (bent.fitted.spread ?? 0) ** 2 + (round.gaugeStepUm ?? 0) ** 2 / 12
  if (straight.squares / straight.spare <= STRAIGHT_TIMES * bentSquare) return straight
  const { fitted, factors, away } = bent
  const unit = { ...fitted, spread: 1 }
  const found = screwBent(bentInputs(inputs, setting))
  return {
    line: { ...found, slopeUmPerM: found.tiltUmPerM },
    away,
    squares: fitted.residuals.reduce((sum, one) => sum + one ** 2, 0),
    spare: inputs.stations.length - fitted.coefficients.length,
    leverOf: {
      fixed: standardErrorOf(unit, factors.fixed) as number,
      far: standardErrorOf(unit, factors.far) as number,
    },
  }
}

/**
 * What one reading is uncertain by, to each side at 95 %. Two readings say nothing of their own spread: then a whole step of the
 * gauge stands for it.
 */
function readingUncertainty({ squares, spare }: Fit, stepUm: number, other: Fit | null): number {
  if (spare === 0) return AT_95 * stepUm
  const stepSquare = stepUm ** 2 / 12
  // The same hand and gauge read the other plane: how they spread is known better by both.
  const isAlike =
    other !== null &&
    other.spare > 0 &&
    other.squares / other.spare <= ALIKE_TIMES * Math.max(squares / spare, stepSquare)
  const allSquares = squares + (isAlike ? other.squares : 0)
  const allSpare = spare + (isAlike ? other.spare : 0)
  const spread = allSquares / allSpare
  const variance = spread + stepSquare
  const degrees = (variance ** 2 / spread ** 2) * allSpare
  return coverageFactor(0.95, Number.isFinite(degrees) ? degrees : null) * Math.sqrt(variance)
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
    const readings = openStations({ closes }, round).filter(
      s => (plane === 'height' ? s.heightUm : s.sideUm) !== null,
    ).length
    return { kind: 'too-few', readings }
  }
  const fit = fitOf(round, setting, inputs)
  const { line, away } = fit
  const otherInputs = lineInputs(round, plane === 'height' ? 'side' : 'height', setting)
  const uncertain = readingUncertainty(fit, stepUm, otherInputs && fitOf(round, setting, otherInputs))
  // No block and no nut holds a screw like a wall: what the readings would say without its weight shows how much hangs on it.
  const weightless =
    plane === 'height' ? lineInputs(round, plane, { ...setting, rootDiameterMm: null }) : null
  const unsagged = weightless ? fitOf(round, setting, weightless).line : line
  const moveOf = (block: BlockMove['block'], key: 'correctionFixedUm' | 'correctionFarUm'): BlockMove => {
    const sagUm = SAG_KNOWN_TO * Math.abs(line[key] - unsagged[key])
    return { block, moveUm: line[key], uncertainUm: uncertain * fit.leverOf[block] + sagUm, sagUm }
  }
  const moves: BlockMove[] = [
    // A block that is slack says nothing of where it stands; a free end has none to move.
    ...(round.tight === 'far' ? [] : [moveOf('fixed', 'correctionFixedUm')]),
    ...(setting.ends === 'fixed-free' || round.tight === 'fixed' ? [] : [moveOf('far', 'correctionFarUm')]),
  ]
  const largestUm = Math.max(...moves.map(({ moveUm }) => Math.abs(moveUm)))
  // Residuals as large as the target itself would hide a screw that is out of line or bent.
  if (line.worstResidualUm > Math.max(targetUm, POOR_SHARE * largestUm)) return { kind: 'poor', line, moves }
  // A screw that hangs as it should is in line; what is off may still be its sag, and is not moved for that.
  const near =
    Math.abs(inputs.referenceMm) <= Math.abs(inputs.farBlockMm - inputs.referenceMm) ? 'fixed' : 'far'
  // A block near the nut shows less than it is off by: the nut gives way before it.
  const sizeOf = ({ block, moveUm }: BlockMove) => (block === near ? NEAR_HIDES : 1) * Math.abs(moveUm)
  const within = (move: BlockMove) => sizeOf(move) + move.uncertainUm - move.sagUm <= targetUm
  const known = (move: BlockMove) =>
    sizeOf(move) - move.sagUm > targetUm && move.uncertainUm <= Math.max(targetUm, Math.abs(move.moveUm) / 2)
  const unsure = moves.find(move => !within(move) && !known(move))
  const needed = moves.filter(known)
  const unchecked = inputs.stations.length === 2
  // The nut is tilted by the further block as well as by the one near it: that is left alone until the further one stands right.
  const first = away && moves.find(({ block }) => block === away)
  const ordered = first && !within(first) ? needed.filter(({ block }) => block === away) : needed
  if (unsure && ordered.length === 0)
    return {
      kind: 'unsure',
      line,
      moves,
      unsure: first && !within(first) ? first : unsure,
      bends: away !== null,
    }
  return ordered.length
    ? {
        kind: 'move',
        line,
        moves: ordered,
        unchecked,
        beside: moves.find(move => !within(move) && !ordered.includes(move)) ?? null,
      }
    : { kind: 'in-line', line, moves, unchecked, beside: null }
}

/** The largest correction of a round over both planes, for showing how rounds converge; null while unread. */
export function worstCorrectionUm(round: AlignRound, setting: LineSetting): number | null {
  const sizes = PLANES.flatMap(plane => {
    const inputs = lineInputs(round, plane, setting)
    if (!inputs) return []
    const { line } = fitOf(round, setting, inputs)
    return setting.ends === 'fixed-free'
      ? [Math.abs(line.correctionFixedUm)]
      : [Math.abs(line.correctionFixedUm), Math.abs(line.correctionFarUm)]
  })
  return sizes.length ? Math.max(...sizes) : null
}
