import { calculation } from '../calculation'
import { GRAVITY_M_PER_S2, radians, STEEL_DENSITY_KG_PER_M3 } from '../constants'
import { flag, list, number } from '../spec'
import { backdriveTorque } from './screwTorque'

const massKg = number('moving mass', 'm', 'kg', { over: 0 })
const leadMm = number('lead', 'Ph', 'mm', { over: 0 })
const ratio = number('motor turns per screw turn', 'r', '1', { over: 0 })
const inertia = <const R extends { min: 0; default?: number }>(label: string, symbol: string, range: R) =>
  number(label, symbol, 'kg m2', range)
const stiffnessNPerUm = number('stiffness', 'k', 'N/um', { over: 0 })

/**
 * Inertia of screw, coupler, pulleys and table as the motor feels it.
 *
 * @example reflectedInertia({ massKg: 100, leadMm: 20, screwDiameterMm: 20, screwLengthMm: 616,
 *   couplerInertiaKgM2: 0.000112, ratio: 1, motorPulleyInertiaKgM2: 1e-6, screwPulleyInertiaKgM2: 0.000291 }).reflectedInertiaKgM2 // 0.00149317
 */
export const reflectedInertia = calculation({
  id: 'drive.reflectedInertia',
  title: 'Inertia at the motor',
  formula: 'Js = pi rho l d^4 / 32; Jt = m (Ph / (2 pi))^2; J = Jm + (Jc + Jp + Js + Jt) / r^2',
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
 * Stiffness of parts in a row.
 *
 * @example axisStiffness({ parts: [366, 498, 414] }).stiffnessNPerUm // 139.748
 */
export const axisStiffness = calculation({
  id: 'axis.stiffness',
  title: 'Stiffness of the drive',
  formula: '1 / k = sum(1 / ki)',
  source: 'Springs in series',
  validity: 'Castings and brackets are taken as rigid',
  inputs: { parts: list('stiffness of each part', stiffnessNPerUm) },
  outputs: { stiffnessNPerUm },
  compute({ parts }) {
    return { stiffnessNPerUm: 1 / parts.reduce((sum, part) => sum + 1 / part, 0) }
  },
})

/**
 * What a reversal loses on its way from motor to table, cause by cause.
 *
 * @example lostMotion({ nutPlayUm: 15, bearingPlayUm: 26, couplerBacklashDeg: 0.88, beltPlayUm: 19, leadMm: 10,
 *   frictionN: 270, stiffnessNPerUm: 36, motorReversalUm: 6.7 }).totalUm // 106.144
 */
export const lostMotion = calculation({
  id: 'axis.lostMotion',
  title: 'Lost motion of the axis',
  formula:
    'coupler = Ph theta / 360; elastic = 2 f / k; total = nut + bearing + coupler + belt + elastic + motor',
  source: 'Plays add up; friction winds the drive up one way, then the other',
  validity: 'The worst place along the travel; friction alike in both directions',
  inputs: {
    nutPlayUm: number('play of the nut', 'sn', 'um', { min: 0 }),
    bearingPlayUm: number('play of the bearings', 'sb', 'um', { min: 0 }),
    couplerBacklashDeg: number('backlash of the coupler', 'theta', 'deg', { min: 0 }),
    beltPlayUm: number('play of the belt at the table', 'sp', 'um', { min: 0 }),
    leadMm,
    frictionN: number('friction of the axis', 'f', 'N', { min: 0 }),
    stiffnessNPerUm,
    motorReversalUm: number('lag of the motor, both ways', 'sm', 'um', { min: 0 }),
  },
  outputs: {
    couplerUm: number('from the coupler', 'sc', 'um', {}),
    elasticUm: number('from wind-up', 'se', 'um', {}),
    totalUm: number('in all', 's', 'um', {}),
  },
  compute(inputs) {
    const couplerUm = (inputs.leadMm * 1000 * inputs.couplerBacklashDeg) / 360
    const elasticUm = (2 * inputs.frictionN) / inputs.stiffnessNPerUm
    const playUm = inputs.nutPlayUm + inputs.bearingPlayUm + couplerUm + inputs.beltPlayUm
    return { couplerUm, elasticUm, totalUm: playUm + elasticUm + inputs.motorReversalUm }
  },
})

/**
 * Whether an axis that lifts its load runs down when power goes.
 *
 * @example unpoweredDrop({ massKg: 59, inclineDeg: 0, counterbalanceN: 0, frictionN: 37, leadMm: 10,
 *   backwardEfficiency: 0.67, ratio: 1, detentTorqueNm: 0.11, dragTorqueNm: 0.17 }).drops // false
 */
export const unpoweredDrop = calculation({
  id: 'axis.unpoweredDrop',
  title: 'What happens when power goes',
  formula: "T = max(0, W - f) Ph eta' / (2000 pi r); Th = Td + Tf / r; drops when T > Th",
  source: 'Work in equals work out, over one turn; motor detent and drag hold',
  validity: 'At rest; vibration lowers friction, so a small margin is none',
  inputs: {
    massKg,
    inclineDeg: number('incline of the axis', 'i', 'deg', { min: 0, max: 90 }),
    counterbalanceN: number('counterbalance', 'Fcb', 'N', { min: 0 }),
    frictionN: number('friction of the axis', 'f', 'N', { min: 0 }),
    leadMm,
    backwardEfficiency: number('backward efficiency', "eta'", '1', { min: 0, max: 1 }),
    ratio,
    detentTorqueNm: number('detent torque of the motor', 'Td', 'N m', { min: 0 }),
    dragTorqueNm: number('drag at the screw', 'Tf', 'N m', { min: 0 }),
  },
  outputs: {
    backdriveTorqueNm: number('torque from the load at the motor', 'T', 'N m', {}),
    holdingTorqueNm: number('torque that holds it', 'Th', 'N m', {}),
    drops: flag('the axis runs down'),
  },
  compute(inputs) {
    const hangingN =
      inputs.massKg * GRAVITY_M_PER_S2 * Math.sin(radians(inputs.inclineDeg)) - inputs.counterbalanceN
    const { torqueNm } = backdriveTorque.compute({
      axialForceN: Math.max(0, hangingN - inputs.frictionN),
      leadMm: inputs.leadMm,
      backwardEfficiency: inputs.backwardEfficiency,
    })
    const backdriveTorqueNm = torqueNm / inputs.ratio
    const holdingTorqueNm = inputs.detentTorqueNm + inputs.dragTorqueNm / inputs.ratio
    return { backdriveTorqueNm, holdingTorqueNm, drops: backdriveTorqueNm > holdingTorqueNm }
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
