import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { turnFit, turnOf } from '../../calculation/leastSquares'
import { angle, given, length, list, plain, record, smallLength } from '../../field/field'
import { READING } from '../../readings/model'

/**
 * How far a face swept by an indicator stands out of square, and the shim that squares it.
 *
 * @throws InputError when fewer than three angles were read
 * @example faceTilt({ readings: [{ angleDeg: 0, readingUm: 52.7 }, { angleDeg: 90, readingUm: 91.6 }, { angleDeg: 180, readingUm: -50.9 },
 *   { angleDeg: 270, readingUm: -92.1 }], radiusMm: 56.2, boltCircleMm: 41.5 }).shimUm // 77.87
 */
export const faceTilt = calculation({
  id: 'align.faceTilt',
  title: 'Tilt of a face',
  formula: 'least-squares wave once a turn through the readings; tilt = amplitude / r; shim = tilt D',
  source: 'Plane through a circle of readings; linear least squares',
  validity: 'A flat face; the residual tells how flat the readings say it is',
  inputs: {
    readings: list(
      'readings round the face',
      record('reading', {
        angleDeg: angle('angle', {}, { symbol: 't' }),
        readingUm: given(READING),
      }),
      3,
    ),
    radiusMm: length('radius of the sweep', { over: 0 }, { symbol: 'r' }),
    boltCircleMm: length('bolt circle', { over: 0 }, { symbol: 'D' }),
  },
  outputs: {
    tiltUmPerMm: plain('tilt', {}, { symbol: 'tilt', unit: 'um/mm' }),
    proudAtDeg: angle('proud at', {}, { symbol: 'tp' }),
    shimAtDeg: angle('shim at', {}, { symbol: 'ts' }),
    shimUm: smallLength('shim', {}, { symbol: 'shim' }),
    residualUm: smallLength('spread about the plane', {}, { symbol: 's', orNone: true }),
  },
  compute({ readings, radiusMm, boltCircleMm }) {
    const fit = turnFit(readings.map(({ angleDeg, readingUm }) => ({ angleDeg, value: readingUm })))
    if (!fit) throw new InputError('readings', readings, 'readings at three or more different angles')
    const tiltUmPerMm = fit.amplitude / radiusMm
    return {
      tiltUmPerMm,
      proudAtDeg: fit.largestAtDeg,
      shimAtDeg: turnOf(fit.largestAtDeg + 180),
      shimUm: tiltUmPerMm * boltCircleMm,
      residualUm: fit.fitted.spread,
    }
  },
})
