import { calculation } from '../../../calculation/calculation'
import { degrees } from '../../../calculation/constants'
import { InputError } from '../../../calculation/inputError'
import { angle, length, slope } from '../../../field/field'

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
    diagonalAMm: length('diagonal A', { over: 0 }, { symbol: 'dA' }),
    diagonalBMm: length('diagonal B', { over: 0 }, { symbol: 'dB' }),
    sideAMm: length('side a', { over: 0 }, { symbol: 'a' }),
    sideBMm: length('side b', { over: 0 }, { symbol: 'b' }),
    railDistanceMm: length('between the rails', { over: 0 }, { symbol: 'D' }),
    readingUncertaintyMm: length('a diagonal is read to', { min: 0 }, { symbol: 'r' }),
  },
  outputs: {
    outOfSquareDeg: angle('out of square', {}, { symbol: 'e' }),
    outOfSquareUmPerM: slope('out of square over a metre', {}, { symbol: 'slope' }),
    shiftMm: length('shift of one side', {}, { symbol: 'shift' }),
    shiftUncertaintyMm: length('known to', {}, { symbol: 'u' }),
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
