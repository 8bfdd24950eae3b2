import { calculation } from '../../calculation/calculation'
import { STEEL_DENSITY_KG_PER_M3 } from '../../calculation/constants'
import { inertia as inertiaField, length, mass, plain, torque } from '../../field/field'

const leadMm = length('lead', { over: 0 }, { symbol: 'Ph' })
const ratio = plain('motor turns per screw turn', { over: 0 }, { symbol: 'r' })
const inertia = (label: string, symbol: string) => inertiaField(label, { min: 0 }, { symbol })
const inertiaIfAny = (label: string, symbol: string) =>
  inertiaField(label, { min: 0 }, { symbol, default: 0 })

/**
 * Inertia of screw, coupler, pulleys and table as the motor feels it.
 *
 * @example reflectedInertia({ massKg: 100, leadMm: 20, screwDiameterMm: 20, screwLengthMm: 616,
 *   couplerInertiaKgM2: 0.000112, ratio: 1, motorPulleyInertiaKgM2: 1e-6, screwPulleyInertiaKgM2: 0.000291 }).reflectedInertiaKgM2 // 0.00149317
 */
export const reflectedInertia = calculation({
  id: 'drive.reflectedInertia',
  title: 'Inertia at the motor',
  formula: 'Js = pi rho l d^4 / 32; Jt = m (Ph / (2000 pi))^2; J = Jm + (Jc + Jp + Js + Jt) / r^2',
  source: 'Kinetic energy of the moving parts',
  validity: 'Solid steel screw of its nominal diameter',
  inputs: {
    massKg: mass('moving mass', { min: 0 }, { symbol: 'm' }),
    leadMm,
    screwDiameterMm: length('screw diameter', { over: 0 }, { symbol: 'd' }),
    screwLengthMm: length('screw length', { over: 0 }, { symbol: 'l' }),
    couplerInertiaKgM2: inertia('inertia of the coupler', 'Jc'),
    ratio,
    motorPulleyInertiaKgM2: inertiaIfAny('inertia of the motor pulley', 'Jm'),
    screwPulleyInertiaKgM2: inertiaIfAny('inertia of the screw pulley', 'Jp'),
  },
  outputs: {
    screwInertiaKgM2: inertia('inertia of the screw', 'Js'),
    tableInertiaKgM2: inertia('inertia of the table at the screw', 'Jt'),
    reflectedInertiaKgM2: inertia('inertia at the motor', 'J'),
  },
  compute(inputs) {
    const { motorPulleyInertiaKgM2 = 0, screwPulleyInertiaKgM2 = 0 } = inputs
    const screwInertiaKgM2 =
      (Math.PI *
        STEEL_DENSITY_KG_PER_M3 *
        (inputs.screwLengthMm / 1000) *
        (inputs.screwDiameterMm / 1000) ** 4) /
      32
    const tableInertiaKgM2 = inputs.massKg * (inputs.leadMm / (2000 * Math.PI)) ** 2
    const screwSide = inputs.couplerInertiaKgM2 + screwPulleyInertiaKgM2 + screwInertiaKgM2 + tableInertiaKgM2
    return {
      screwInertiaKgM2,
      tableInertiaKgM2,
      reflectedInertiaKgM2: motorPulleyInertiaKgM2 + screwSide / inputs.ratio ** 2,
    }
  },
})

/**
 * Torque that the motor must give in a phase of the motion.
 *
 * The moving mass must be in the drive torque (as force) or in the inertia, never in both.
 *
 * @example requiredTorque({ driveTorqueNm: 0.5, preloadDragNm: 0.1, bearingDragNm: 0.05, ratio: 1,
 *   beltEfficiency: 1, inertiaKgM2: 1e-4, angularAccelerationRadPerS2: 500 }).torqueNm // 0.7
 */
export const requiredTorque = calculation({
  id: 'drive.requiredTorque',
  title: 'Torque asked of the motor',
  formula: 'T = (Td + Tp + Tb) / (r eta_b) + J alpha',
  source: 'Sum of the torques at the motor shaft',
  validity: 'J holds what turns; the mass of the table is in Td, by its force',
  inputs: {
    driveTorqueNm: torque('to drive the axis', {}, { symbol: 'Td' }),
    preloadDragNm: torque('drag of the preload', { min: 0 }, { symbol: 'Tp' }),
    bearingDragNm: torque('drag of bearings and seals', { min: 0 }, { symbol: 'Tb' }),
    ratio,
    beltEfficiency: plain('efficiency of the belt', { over: 0, max: 1 }, { symbol: 'eta_b' }),
    inertiaKgM2: inertia('inertia that turns, at the motor', 'J'),
    angularAccelerationRadPerS2: plain(
      'angular acceleration of the motor',
      { min: 0 },
      { symbol: 'alpha', unit: 'rad/s2' },
    ),
  },
  outputs: { torqueNm: torque('torque', {}, { symbol: 'T' }) },
  compute(inputs) {
    const atScrewNm = inputs.driveTorqueNm + inputs.preloadDragNm + inputs.bearingDragNm
    const acceleratingNm = inputs.inertiaKgM2 * inputs.angularAccelerationRadPerS2
    return { torqueNm: atScrewNm / (inputs.ratio * inputs.beltEfficiency) + acceleratingNm }
  },
})
