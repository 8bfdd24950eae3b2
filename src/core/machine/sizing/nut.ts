import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { force, stiffness } from '../../field/field'

/**
 * How stiff a ball nut is along the screw.
 *
 * @throws InputError when there is neither preload nor load to press the balls home
 * @example nutStiffness({ ratedStiffnessNPerUm: 232, dynamicCapacityN: 20417, preloadN: 0, axialLoadN: 1434 }).stiffnessNPerUm // 114.39
 */
export const nutStiffness = calculation({
  id: 'nut.stiffness',
  title: 'Stiffness of the nut',
  formula: 'preloaded: k = 0.8 K (Fpr / (0.1 Ca))^(1/3); without: k = 0.8 K (F / (0.3 Ca))^(1/3)',
  source: 'ISO 3408-4, Hertzian contact',
  validity: 'K is the rated stiffness at 0.1 Ca preload, or at 0.3 Ca load without preload',
  inputs: {
    ratedStiffnessNPerUm: stiffness('rated stiffness', { over: 0 }, { symbol: 'K' }),
    dynamicCapacityN: force('dynamic capacity', { over: 0 }, { symbol: 'Ca' }),
    preloadN: force('preload', { min: 0 }, { symbol: 'Fpr' }),
    axialLoadN: force('axial load', { min: 0 }, { symbol: 'F' }),
  },
  outputs: { stiffnessNPerUm: stiffness('stiffness', {}, { symbol: 'k' }) },
  compute({ ratedStiffnessNPerUm, dynamicCapacityN, preloadN, axialLoadN }) {
    if (preloadN === 0 && axialLoadN === 0)
      throw new InputError('axialLoadN', axialLoadN, 'a load over 0 N when there is no preload')
    const share = preloadN > 0 ? preloadN / (0.1 * dynamicCapacityN) : axialLoadN / (0.3 * dynamicCapacityN)
    return { stiffnessNPerUm: 0.8 * ratedStiffnessNPerUm * Math.cbrt(share) }
  },
})
