import { calculation } from '../../calculation/calculation'
import { length, plain, pressure, torque } from '../../field/field'

/** A shoulder, a keyway or a flat lets the stress peak by so much; a set screw on a round shaft by 1.5. */
export const SHOULDER_NOTCH = 2

/**
 * Stress in the end of a shaft that is twisted, and bent, at its least diameter.
 *
 * @example shaftEndStress({ diameterMm: 8, torqueNm: 28, bendingNm: 0 }).safety // 0.4146
 */
export const shaftEndStress = calculation({
  id: 'shaft.endStress',
  title: 'Stress in the end of the screw',
  formula: 's = 1000 k 32 M / (pi d^3); t = 1000 k 16 T / (pi d^3); se = sqrt(s^2 + 3 t^2); S = Re / se',
  source: 'Bending and torsion of a round bar; von Mises',
  validity: 'At rest, or rarely at its most; a shaft that reverses all day at its most tires sooner',
  inputs: {
    diameterMm: length('least diameter', { over: 0 }, { symbol: 'd' }),
    torqueNm: torque('largest torque', { min: 0 }, { symbol: 'T' }),
    bendingNm: torque('bending by a belt', { min: 0 }, { symbol: 'M' }),
    notchFactor: plain('notch', { min: 1 }, { symbol: 'k', default: SHOULDER_NOTCH }),
    yieldMpa: pressure('yield strength', { over: 0 }, { symbol: 'Re', default: 400 }),
  },
  outputs: {
    bendingMpa: pressure('bending', {}, { symbol: 's' }),
    torsionMpa: pressure('torsion', {}, { symbol: 't' }),
    equivalentMpa: pressure('together', {}, { symbol: 'se' }),
    safety: plain('times over', {}, { symbol: 'S', orNone: true }),
  },
  compute({ diameterMm, torqueNm, bendingNm, notchFactor = SHOULDER_NOTCH, yieldMpa = 400 }) {
    const section = Math.PI * diameterMm ** 3
    const bendingMpa = (1000 * notchFactor * 32 * bendingNm) / section
    const torsionMpa = (1000 * notchFactor * 16 * torqueNm) / section
    const equivalentMpa = Math.hypot(bendingMpa, Math.sqrt(3) * torsionMpa)
    return {
      bendingMpa,
      torsionMpa,
      equivalentMpa,
      safety: equivalentMpa > 0 ? yieldMpa / equivalentMpa : null,
    }
  },
})
