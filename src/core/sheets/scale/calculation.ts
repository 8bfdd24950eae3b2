import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { leastSquares } from '../../calculation/leastSquares'
import { length, list, record, slope, smallLength, stepsPerLength } from '../../field/field'

/**
 * The scale of an axis: how far it goes for what is commanded, and the steps a millimetre that put it right.
 *
 * @throws InputError when the moves are all to one place, or the slide does not follow the command
 * @example scaleTest({ moves: [{ commandedMm: 0, measuredMm: 0.001 }, { commandedMm: 50, measuredMm: 49.973 },
 *   { commandedMm: 100, measuredMm: 99.976 }, { commandedMm: 150, measuredMm: 149.95 },
 *   { commandedMm: 200, measuredMm: 199.95 }], stepsPerMm: 400 }).stepsPerMm // 400.1
 */
export const scaleTest = calculation({
  id: 'prove.scale',
  title: 'Scale of an axis',
  formula: 'x = a + b C, by least squares; e = b - 1; z2 = z1 / b',
  source: 'Linear least squares with an intercept',
  validity: 'All places approached from one side, over as much of the travel as can be measured',
  inputs: {
    moves: list(
      'moves',
      record('move', {
        commandedMm: length('commanded', {}, { symbol: 'C' }),
        measuredMm: length('measured', {}, { symbol: 'x' }),
      }),
      2,
    ),
    stepsPerMm: stepsPerLength('steps a millimetre, as set', { over: 0 }, { symbol: 'z1' }),
  },
  outputs: {
    scaleErrorUmPerM: slope('scale error', {}, { symbol: 'e' }),
    stepsPerMm: stepsPerLength('steps a millimetre, put right', {}, { symbol: 'z2' }),
    residualUm: smallLength('spread about the line', {}, { symbol: 's', orNone: true }),
  },
  compute({ moves, stepsPerMm }) {
    const fitted = leastSquares(
      moves.map(({ commandedMm }) => [1, commandedMm]),
      moves.map(({ measuredMm }) => measuredMm),
    )
    const slope = fitted?.coefficients[1]
    if (!fitted || slope === undefined || !(slope > 0))
      throw new InputError('moves', moves, 'moves to two places at least, which the slide follows')
    return {
      scaleErrorUmPerM: (slope - 1) * 1e6,
      stepsPerMm: stepsPerMm / slope,
      residualUm: fitted.spread === null ? null : fitted.spread * 1000,
    }
  },
})
