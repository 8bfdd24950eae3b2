import { calculation } from '../../calculation/calculation'
import { flag, length, mass } from '../../field/field'

/**
 * The weight that keeps a slide on its way when it is run out over the end.
 *
 * @example counterweight({ massKg: 79, overhangMm: 272, wayHalfLengthMm: 156, weightArmMm: 374 }) // { liftsOff: true, counterweightKg: 40.8 }
 */
export const counterweight = calculation({
  id: 'fit.counterweight',
  title: 'Weight against an overhang',
  formula: 'M = m (e - h / 3) / (a + h / 3), none where e < h / 3; it lifts off where e > h',
  source: 'Balance about the way: the weight of all within its middle third',
  validity: 'A slide that lies on its ways by its weight alone',
  inputs: {
    massKg: mass('mass of the slide', { over: 0 }, { symbol: 'm' }),
    overhangMm: length('middle of the slide beyond the middle of the way', { min: 0 }, { symbol: 'e' }),
    wayHalfLengthMm: length('half of the way it lies on', { over: 0 }, { symbol: 'h' }),
    weightArmMm: length('weight from the middle of the way, on the other side', { min: 0 }, { symbol: 'a' }),
  },
  outputs: {
    liftsOff: flag('it lifts off without a weight'),
    counterweightKg: mass('weight to lay on', {}, { symbol: 'M' }),
  },
  compute({ massKg, overhangMm, wayHalfLengthMm, weightArmMm }) {
    const third = wayHalfLengthMm / 3
    return {
      liftsOff: overhangMm > wayHalfLengthMm,
      counterweightKg: Math.max(0, (massKg * (overhangMm - third)) / (weightArmMm + third)),
    }
  },
})
