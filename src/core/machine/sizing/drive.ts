import { calculation } from '../../calculation/calculation'
import { STEEL_DENSITY_KG_PER_M3 } from '../../calculation/constants'
import { number } from '../../calculation/spec'

const leadMm = number('lead', 'Ph', 'mm', { over: 0 })
const ratio = number('motor turns per screw turn', 'r', '1', { over: 0 })
const inertia = <const R extends { min: 0; default?: number }>(label: string, symbol: string, range: R) =>
  number(label, symbol, 'kg m2', range)

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
    massKg: number('moving mass', 'm', 'kg', { min: 0 }),
    leadMm,
    screwDiameterMm: number('screw diameter', 'd', 'mm', { over: 0 }),
    screwLengthMm: number('screw length', 'l', 'mm', { over: 0 }),
    couplerInertiaKgM2: inertia('inertia of the coupler', 'Jc', { min: 0 }),
    ratio,
    motorPulleyInertiaKgM2: inertia('inertia of the motor pulley', 'Jm', { min: 0, default: 0 }),
    screwPulleyInertiaKgM2: inertia('inertia of the screw pulley', 'Jp', { min: 0, default: 0 }),
  },
  outputs: {
    screwInertiaKgM2: inertia('inertia of the screw', 'Js', { min: 0 }),
    tableInertiaKgM2: inertia('inertia of the table at the screw', 'Jt', { min: 0 }),
    reflectedInertiaKgM2: inertia('inertia at the motor', 'J', { min: 0 }),
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
    driveTorqueNm: number('to drive the axis', 'Td', 'N m', {}),
    preloadDragNm: number('drag of the preload', 'Tp', 'N m', { min: 0 }),
    bearingDragNm: number('drag of bearings and seals', 'Tb', 'N m', { min: 0 }),
    ratio,
    beltEfficiency: number('efficiency of the belt', 'eta_b', '1', { over: 0, max: 1 }),
    inertiaKgM2: inertia('inertia that turns, at the motor', 'J', { min: 0 }),
    angularAccelerationRadPerS2: number('angular acceleration of the motor', 'alpha', 'rad/s2', { min: 0 }),
  },
  outputs: { torqueNm: number('torque', 'T', 'N m', {}) },
  compute(inputs) {
    const atScrewNm = inputs.driveTorqueNm + inputs.preloadDragNm + inputs.bearingDragNm
    const acceleratingNm = inputs.inertiaKgM2 * inputs.angularAccelerationRadPerS2
    return { torqueNm: atScrewNm / (inputs.ratio * inputs.beltEfficiency) + acceleratingNm }
  },
})
