import { calculation } from '../../calculation/calculation'
import { GRAVITY_M_PER_S2 } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { leastSquares } from '../../calculation/leastSquares'
import { force, list, mass, plain, record } from '../../field/field'

/**
 * Drag and friction of the ways from pulls with a spring scale, with some weights laid on the slide.
 *
 * @throws InputError when all pulls were with the same weight
 * @example waysFriction({ massKg: 53, pulls: [{ addedMassKg: 0, pullN: 42.1 }, { addedMassKg: 10, pullN: 44.5 },
 *   { addedMassKg: 25, pullN: 46.7 }, { addedMassKg: 40, pullN: 49.9 }] }) // { dragN: 32.25, frictionCoefficient: 0.01926, residualN: 0.3433 }
 */
export const waysFriction = calculation({
  id: 'survey.waysFriction',
  title: 'Friction of the ways',
  formula: 'least-squares line through the pulls: F = drag + mu g (m + added)',
  source: 'Coulomb friction; linear least squares',
  validity: 'Ways level, slow and steady pulls along them, the screw let go',
  inputs: {
    massKg: mass('mass of the slide', { over: 0 }, { symbol: 'm' }),
    pulls: list(
      'pulls',
      record('pull', {
        addedMassKg: mass('weight laid on', { min: 0 }, { symbol: 'added' }),
        pullN: force('pull', { min: 0 }, { symbol: 'F' }),
      }),
      2,
    ),
  },
  outputs: {
    dragN: force('drag of gib and wipers', {}, { symbol: 'drag' }),
    frictionCoefficient: plain('friction', {}, { symbol: 'mu' }),
    residualN: force('spread about the line', {}, { symbol: 's', orNone: true }),
  },
  compute({ massKg, pulls }) {
    const fitted = leastSquares(
      pulls.map(({ addedMassKg }) => [1, GRAVITY_M_PER_S2 * (massKg + addedMassKg)]),
      pulls.map(({ pullN }) => pullN),
    )
    if (!fitted) throw new InputError('pulls', pulls, 'pulls with two or more different weights')
    const [dragN, frictionCoefficient] = fitted.coefficients as [number, number]
    return { dragN, frictionCoefficient, residualN: fitted.spread }
  },
})
