import { angle, length, plain, record, type ValueOf } from '../../field/field'
import type { BracketHole } from './model'

/** Holes on a circle about the screw axis, as the nut's sheet gives them. */
export const BOLT_CIRCLE = record('Bolt circle', {
  circleDiameterMm: length('Bolt circle', [2, 500], { orNone: true }),
  count: plain('Holes on it', [2, 24], { whole: true, orNone: true }),
  diameterMm: length('Diameter of the holes', [0.5, 100], { orNone: true }),
  firstDeg: angle('First hole, from the right, upwards', [-360, 360]),
})
export type BoltCircle = ValueOf<typeof BOLT_CIRCLE>

/** As exact as anyone marks out; also keeps 1e-15 out of the fields. */
const toTheMicrometre = (mm: number) => Math.round(mm * 1000) / 1000 || 0

/**
 * The holes of a bolt circle about the screw axis, counter-clockwise from the first.
 *
 * @param circle circle and holes in mm, the first one's place in degrees from the right
 * @returns the holes without their ids; none while a figure is not entered
 * @example boltCircle({ circleDiameterMm: 42, count: 4, diameterMm: 5.5, firstDeg: 45 })[0]
 *   // { label: '1', xMm: 14.849, yMm: 14.849, diameterMm: 5.5 }
 */
export function boltCircle({
  circleDiameterMm,
  count,
  diameterMm,
  firstDeg,
}: BoltCircle): Omit<BracketHole, 'id'>[] {
  if (circleDiameterMm === null || count === null || diameterMm === null) return []
  return Array.from({ length: count }, (_, index) => {
    const at = ((firstDeg + (360 * index) / count) * Math.PI) / 180
    return {
      label: `${index + 1}`,
      xMm: toTheMicrometre((circleDiameterMm / 2) * Math.cos(at)),
      yMm: toTheMicrometre((circleDiameterMm / 2) * Math.sin(at)),
      diameterMm,
    }
  })
}
