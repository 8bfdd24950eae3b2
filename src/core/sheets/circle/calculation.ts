import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { leastSquares } from '../../calculation/leastSquares'
import { angle, length, list, record, slope, smallLength } from '../../field/field'

/**
 * What a circle that was cut or scribed says when it is measured across: how the scales of two axes differ, and how far
 * they are from square.
 *
 * @throws InputError when its directions cannot tell the two apart
 * @example circleTest({ diameters: [{ angleDeg: 0, diameterMm: 149.443 }, { angleDeg: 45, diameterMm: 149.401 },
 *   { angleDeg: 90, diameterMm: 149.359 }, { angleDeg: 135, diameterMm: 149.406 }] }).scaleDifferenceUmPerM // 562.24
 */
export const circleTest = calculation({
  id: 'prove.circle',
  title: 'A circle measured across',
  formula: 'D = m + d cos(2 t) + q sin(2 t), by least squares; ds = 2 d / m; sq = 2 q / m',
  source: 'The first terms of an ellipse in its angle; linear least squares',
  validity: 'Cut in one go, climb or conventional throughout; play shows as flats, not as an ellipse',
  inputs: {
    diameters: list(
      'diameters',
      record('diameter', {
        angleDeg: angle('direction, from the first axis', {}, { symbol: 't' }),
        diameterMm: length('diameter', { over: 0 }, { symbol: 'D' }),
      }),
      3,
    ),
  },
  outputs: {
    meanDiameterMm: length('mean diameter', {}, { symbol: 'm' }),
    scaleDifferenceUmPerM: slope('scale of the first axis over the second', {}, { symbol: 'ds' }),
    squarenessUmPerM: slope('out of square', {}, { symbol: 'sq' }),
    residualUm: smallLength('spread about it', {}, { symbol: 's', orNone: true }),
  },
  compute({ diameters }) {
    const fitted = leastSquares(
      diameters.map(({ angleDeg }) => {
        const twice = (2 * angleDeg * Math.PI) / 180
        return [1, Math.cos(twice), Math.sin(twice)]
      }),
      diameters.map(({ diameterMm }) => diameterMm),
    )
    if (!fitted)
      throw new InputError(
        'diameters',
        diameters,
        'diameters in three directions less than half a turn apart',
      )
    const [mean, along, across] = fitted.coefficients as [number, number, number]
    return {
      meanDiameterMm: mean,
      scaleDifferenceUmPerM: (2e6 * along) / mean,
      squarenessUmPerM: (2e6 * across) / mean,
      residualUm: fitted.spread === null ? null : fitted.spread * 1000,
    }
  },
})
