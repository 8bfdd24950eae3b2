import { calculation } from '../../calculation/calculation'
import { radians } from '../../calculation/constants'
import { angle, force, length, plain, torque } from '../../field/field'

/** Factor of the static load by the contact angle, for a pair that shares the load. */
const Y0: Readonly<Record<number, number>> = { 25: 0.38, 30: 0.33, 40: 0.26 }

/**
 * The drag that preload adds to that of seals and grease.
 *
 * @example preloadDrag({ preloadN: 745, contactAngleDeg: 30, meanDiameterMm: 24, staticCapacityN: 16560, bearings: 3,
 *   leverMm: 57 }).torqueNm // 0.02084
 */
export const preloadDrag = calculation({
  id: 'fit.preloadDrag',
  title: 'Drag that preload adds',
  formula: 'M = n / 1000 (Y0 F / C0)^0.33 (9 / 10) F cot(a) dm / 1000; pull = 1000 M / r',
  source: 'Palmgren; Y0 0.38 at 25 deg, 0.33 at 30, 0.26 at 40',
  validity: 'Good to a factor of two: it is what preload adds, without seals and grease',
  inputs: {
    preloadN: force('preload', { over: 0 }, { symbol: 'F' }),
    contactAngleDeg: angle('contact angle', {}, { symbol: 'a', oneOf: [25, 30, 40] }),
    meanDiameterMm: length('mean diameter', { over: 0 }, { symbol: 'dm' }),
    staticCapacityN: force('static capacity', { over: 0 }, { symbol: 'C0' }),
    bearings: plain('bearings', { min: 1 }, { symbol: 'n', whole: true }),
    leverMm: length('lever of the scale', { over: 0 }, { symbol: 'r' }),
  },
  outputs: {
    torqueNm: torque('torque', {}, { symbol: 'M' }),
    pullN: force('pull', {}, { symbol: 'pull' }),
  },
  compute({ preloadN, contactAngleDeg, meanDiameterMm, staticCapacityN, bearings, leverMm }) {
    const share = ((Y0[contactAngleDeg] as number) * preloadN) / staticCapacityN
    const ofOneNmm =
      0.001 * share ** 0.33 * 0.9 * (preloadN / Math.tan(radians(contactAngleDeg))) * meanDiameterMm
    const torqueNm = (bearings * ofOneNmm) / 1000
    return { torqueNm, pullN: (1000 * torqueNm) / leverMm }
  },
})
