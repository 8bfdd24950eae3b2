import { radians } from '../../calculation/constants'
import type { SimulatedAxis } from './axis'
import type { Causes } from './figures'

// What stands around the drive, as a gauge finds it: faces, shafts, pulleys, rails, and what two axes cut together.

const UM_PER_MM = 1000

/** A face swept by an indicator at a radius, um: seen from the motor, 0 up, clockwise; what stands proud reads more. */
export function faceUm({ face }: Causes, angleDeg: number, radiusMm: number): number {
  if (!face) return 0
  const { tiltUmPerMm, atDeg, warpUm = 0 } = face
  // A warped face stands proud at two places that are opposite each other.
  return (
    tiltUmPerMm * radiusMm * Math.cos(radians(angleDeg - atDeg)) +
    warpUm * Math.cos(radians(2 * (angleDeg - atDeg)))
  )
}

/** Rim of the screw's hub, by an indicator that the motor's hub carries round, um. */
export function rimUm({ motor }: Causes, angleDeg: number): number {
  return motor ? motor.besideUm * Math.cos(radians(angleDeg - motor.towardsDeg)) : 0
}

/** Face of the screw's hub at a radius, um: where the hubs stand open the tip is pressed in least. */
export function hubFaceUm({ motor }: Causes, angleDeg: number, radiusMm: number): number {
  return motor ? -motor.mrad * radiusMm * Math.cos(radians(angleDeg - motor.openAtDeg)) : 0
}

/** What stays open under a straightedge on the face of the motor's pulley, at a place across it, um. */
export function pulleyGapUm({ pulleys }: Causes, acrossMm: number, widthMm: number): number {
  return pulleys ? pulleys.besideUm + pulleys.tiltUmPerMm * (acrossMm - widthMm / 2) : 0
}

/** A place that stands proud takes the rail along so far to each side. */
const PROUD_MM = 120

/** A rail beside what it should be like, um. */
export function railUm({ rail }: Causes, atMm: number, lengthMm: number): number {
  if (!rail) return 0
  const { bowUm = 0, leanUmPerM = 0, proud = [], set = [] } = rail
  return (
    bowUm * Math.sin((Math.PI * atMm) / lengthMm) +
    (leanUmPerM * atMm) / UM_PER_MM +
    proud.reduce((sum, one) => sum + one.um * Math.max(0, 1 - Math.abs(atMm - one.atMm) / PROUD_MM), 0) +
    set.reduce((sum, places) => sum + pushedUm(places, atMm, lengthMm), 0)
  )
}

/** A rail that was pushed at some places, its ends held: what lies between them follows straight. */
function pushedUm(places: readonly { atMm: number; um: number }[], atMm: number, lengthMm: number): number {
  const held = [{ atMm: 0, um: 0 }, ...places, { atMm: lengthMm, um: 0 }]
  const next = held.findIndex(one => one.atMm >= atMm)
  const [before, after] = [held[next - 1], held[next]]
  if (!before || !after || after.atMm === before.atMm) return after?.um ?? 0
  return before.um + ((after.um - before.um) * (atMm - before.atMm)) / (after.atMm - before.atMm)
}

/** The two diagonals of a rectangle that two axes mark, mm. */
export function diagonalsMm(
  { squareUmPerM = 0 }: Causes,
  sideAMm: number,
  sideBMm: number,
): readonly [number, number] {
  const [leansMm, upMm] = [(sideBMm * squareUmPerM) / 1e6, sideBMm]
  return [Math.hypot(sideAMm + leansMm, upMm), Math.hypot(sideAMm - leansMm, upMm)]
}

/** Of a square held against an axis: what an indicator rises by along its edge, and with the square turned over, um. */
export function squareRiseUm(
  { squareUmPerM = 0 }: Causes,
  edgeMm: number,
  ownUm: number,
): readonly [number, number] {
  const axisUm = (squareUmPerM * edgeMm) / UM_PER_MM
  return [ownUm + axisUm, ownUm - axisUm]
}

/** So many moves make a circle. */
const MOVES = 360

/**
 * A circle that the axis cuts together with one that is right, in one go.
 *
 * @returns how far it is across, by its direction from this axis
 */
export function cutCircle(
  axis: SimulatedAxis,
  diameterMm: number,
  feedMmPerMin: number,
): (angleDeg: number) => number {
  const leans = (axis.causes.squareUmPerM ?? 0) / 1e6
  const [middleMm, radiusMm] = [axis.figures.travelMm / 2, diameterMm / 2]
  // What was cut stays: the play is taken up on the way to where it begins.
  axis.moveTo(middleMm, feedMmPerMin)
  axis.moveTo(middleMm + radiusMm, feedMmPerMin)
  const edge = Array.from({ length: MOVES }, (_, index) => {
    const turn = (2 * Math.PI * (index + 1)) / MOVES
    axis.moveTo(middleMm + radiusMm * Math.cos(turn), feedMmPerMin)
    const across = radiusMm * Math.sin(turn)
    return [axis.standsAtMm - middleMm + leans * across, across] as const
  })
  return angleDeg => {
    const [cos, sin] = [Math.cos(radians(angleDeg)), Math.sin(radians(angleDeg))]
    const along = edge.map(([x, y]) => x * cos + y * sin)
    return Math.max(...along) - Math.min(...along)
  }
}
