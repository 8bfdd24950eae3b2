import { calculation } from '../../calculation/calculation'
import { degrees } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { number } from '../../calculation/spec'

/**
 * How far a gantry stands out of square by the two diagonals of a rectangle, and how far one side must go.
 *
 * @throws InputError when the diagonals differ by more than such a rectangle can
 * @example gantrySquare({ diagonalAMm: 1795.3, diagonalBMm: 1794.21, sideAMm: 1485, sideBMm: 1008, railDistanceMm: 782,
 *   readingUncertaintyMm: 0.25 }).shiftMm // 0.511
 */
export const gantrySquare = calculation({
  id: 'align.gantrySquare',
  title: 'Square of a gantry',
  formula:
    'e = asin((dA^2 - dB^2) / (4 a b)); slope = tan(e) 10^6; shift = D tan(e); u = r sqrt(dA^2 + dB^2) / (2 a b) D',
  source: 'Law of cosines in a parallelogram',
  validity: 'Both sides known to a hundredth: only the diagonals must be read well',
  inputs: {
    diagonalAMm: number('diagonal A', 'dA', 'mm', { over: 0 }),
    diagonalBMm: number('diagonal B', 'dB', 'mm', { over: 0 }),
    sideAMm: number('side a', 'a', 'mm', { over: 0 }),
    sideBMm: number('side b', 'b', 'mm', { over: 0 }),
    railDistanceMm: number('between the rails', 'D', 'mm', { over: 0 }),
    readingUncertaintyMm: number('a diagonal is read to', 'r', 'mm', { min: 0 }),
  },
  outputs: {
    outOfSquareDeg: number('out of square', 'e', 'deg', {}),
    outOfSquareUmPerM: number('out of square over a metre', 'slope', 'um/m', {}),
    shiftMm: number('shift of one side', 'shift', 'mm', {}),
    shiftUncertaintyMm: number('known to', 'u', 'mm', {}),
  },
  compute({ diagonalAMm, diagonalBMm, sideAMm, sideBMm, railDistanceMm, readingUncertaintyMm }) {
    const sine = (diagonalAMm ** 2 - diagonalBMm ** 2) / (4 * sideAMm * sideBMm)
    if (!(Math.abs(sine) < 1))
      throw new InputError('diagonalAMm', diagonalAMm, 'a diagonal of a rectangle with these sides')
    const tangent = Math.tan(Math.asin(sine))
    return {
      outOfSquareDeg: degrees(Math.asin(sine)),
      outOfSquareUmPerM: tangent * 1e6,
      shiftMm: railDistanceMm * tangent,
      shiftUncertaintyMm:
        ((readingUncertaintyMm * Math.hypot(diagonalAMm, diagonalBMm)) / (2 * sideAMm * sideBMm)) *
        railDistanceMm,
    }
  },
})
