import { calculation } from '../../calculation/calculation'
import { number } from '../../calculation/spec'

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
    massKg: number('mass of the slide', 'm', 'kg', { over: 0 }),
    overhangMm: number('middle of the slide beyond the middle of the way', 'e', 'mm', { min: 0 }),
    wayHalfLengthMm: number('half of the way it lies on', 'h', 'mm', { over: 0 }),
    weightArmMm: number('weight from the middle of the way, on the other side', 'a', 'mm', { min: 0 }),
  },
  outputs: {
    liftsOff: { kind: 'flag' as const, label: 'it lifts off without a weight' },
    counterweightKg: number('weight to lay on', 'M', 'kg', {}),
  },
  compute({ massKg, overhangMm, wayHalfLengthMm, weightArmMm }) {
    const third = wayHalfLengthMm / 3
    return {
      liftsOff: overhangMm > wayHalfLengthMm,
      counterweightKg: Math.max(0, (massKg * (overhangMm - third)) / (weightArmMm + third)),
    }
  },
})
