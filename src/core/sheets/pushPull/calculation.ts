import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { leastSquares } from '../../calculation/leastSquares'
import { force, given, list, record, smallLength, stiffness } from '../../field/field'
import { READING } from '../../readings/model'

/**
 * Play and give of what is pushed and pulled: what grows with the force is give, what does not is play.
 *
 * @throws InputError unless both signs were read, and two sizes of force at least
 * @example pushPull({ readings: [{ forceN: -300, displacementUm: -13.92 }, { forceN: -200, displacementUm: -13.06 },
 *   { forceN: -100, displacementUm: -12.79 }, { forceN: 100, displacementUm: 17.01 },
 *   { forceN: 200, displacementUm: 18.36 }, { forceN: 300, displacementUm: 19.37 }] }).playUm // 28.0133
 */
export const pushPull = calculation({
  id: 'prove.pushPull',
  title: 'Play and give by push and pull',
  formula: 'x = c + sign(F) p / 2 + F / k, by least squares',
  source: 'Linear least squares; a play and a spring in series',
  validity: 'Forces large enough to take up the play, and well above the friction of the slide',
  inputs: {
    readings: list(
      'readings',
      record('reading', {
        forceN: force('force along the axis', {}, { symbol: 'F' }),
        displacementUm: given(READING),
      }),
      4,
    ),
  },
  outputs: {
    playUm: smallLength('play', {}, { symbol: 'p' }),
    stiffnessNPerUm: stiffness('stiffness', {}, { symbol: 'k', orNone: true }),
    offsetUm: smallLength('offset', {}, { symbol: 'c' }),
    residualUm: smallLength('spread about the line', {}, { symbol: 's' }),
    playStandardUm: smallLength('standard uncertainty of the play', {}, { symbol: 'up' }),
  },
  compute({ readings }) {
    const fitted = leastSquares(
      readings.map(({ forceN }) => [1, Math.sign(forceN) / 2, forceN]),
      readings.map(({ displacementUm }) => displacementUm),
    )
    if (!fitted?.standardErrors)
      throw new InputError('readings', readings, 'pushes and pulls, with two sizes of force at least')
    const [offsetUm, playUm, givePerN] = fitted.coefficients as [number, number, number]
    return {
      playUm,
      // What does not give at all has no end of stiffness.
      stiffnessNPerUm: givePerN === 0 ? null : 1 / givePerN,
      offsetUm,
      residualUm: fitted.spread as number,
      playStandardUm: fitted.standardErrors[1] as number,
    }
  },
})
