import { calculation } from '../../calculation/calculation'
import { STEEL_DENSITY_KG_PER_M3 } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { force, inertia, length, stiffness } from '../../field/field'

/**
 * Inertia of a nut that turns: a hollow body with its flange, on a screw that stands.
 *
 * @example nutInertia({ boreMm: 20, bodyDiameterMm: 36, bodyLengthMm: 46, flangeDiameterMm: 58, flangeThicknessMm: 11 }).inertiaKgM2 // 0.000148
 */
export const nutInertia = calculation({
  id: 'nut.inertia',
  title: 'Inertia of a nut that turns',
  formula: 'J = pi rho / 32 (l (D^4 - d^4) + t (Df^4 - d^4))',
  source: 'Hollow cylinders of steel',
  validity: 'What the ring and the locknut of its bearings add is not in it',
  inputs: {
    boreMm: length('diameter of the screw', { over: 0 }, { symbol: 'd' }),
    bodyDiameterMm: length('diameter of the body', { over: 0 }, { symbol: 'D' }),
    bodyLengthMm: length('length of the body', { over: 0 }, { symbol: 'l' }),
    flangeDiameterMm: length('diameter of the flange', { over: 0 }, { symbol: 'Df' }),
    flangeThicknessMm: length('thickness of the flange', { min: 0 }, { symbol: 't' }),
  },
  outputs: { inertiaKgM2: inertia('inertia', { min: 0 }, { symbol: 'J' }) },
  compute({ boreMm, bodyDiameterMm, bodyLengthMm, flangeDiameterMm, flangeThicknessMm }) {
    const ring = (outerMm: number, lengthMm: number) =>
      (lengthMm / 1000) * ((outerMm / 1000) ** 4 - (boreMm / 1000) ** 4)
    const rings = ring(bodyDiameterMm, bodyLengthMm) + ring(flangeDiameterMm, flangeThicknessMm)
    return { inertiaKgM2: ((Math.PI * STEEL_DENSITY_KG_PER_M3) / 32) * rings }
  },
})

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
