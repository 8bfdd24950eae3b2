import { calculation } from '../../calculation/calculation'
import { GRAVITY_M_PER_S2, radians } from '../../calculation/constants'
import {
  acceleration,
  angle,
  choice,
  force,
  frequency,
  length,
  list,
  mass,
  plain,
  smallLength,
  stiffness,
  torque,
} from '../../field/field'
import { backdriveTorque } from './screwTorque'

const massKg = mass('moving mass', { over: 0 }, { symbol: 'm' })
const leadMm = length('lead', { over: 0 }, { symbol: 'Ph' })
const ratio = plain('motor turns per screw turn', { over: 0 }, { symbol: 'r' })
const stiffnessNPerUm = stiffness('stiffness', { over: 0 }, { symbol: 'k' })

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
    'coupler = 1000 Ph theta / 360; elastic = 2 f / k; total = nut + bearing + coupler + belt + elastic + motor',
  source: 'Plays add up; friction winds the drive up one way, then the other',
  validity: 'The worst place along the travel; friction alike in both directions',
  inputs: {
    nutPlayUm: smallLength('play of the nut', { min: 0 }, { symbol: 'sn' }),
    bearingPlayUm: smallLength('play of the bearings', { min: 0 }, { symbol: 'sb' }),
    couplerBacklashDeg: angle('backlash of the coupler', { min: 0 }, { symbol: 'theta' }),
    beltPlayUm: smallLength('play of the belt at the slide', { min: 0 }, { symbol: 'sp' }),
    leadMm,
    frictionN: force('friction of the axis', { min: 0 }, { symbol: 'f' }),
    stiffnessNPerUm,
    motorReversalUm: smallLength('lag of the motor, both ways', { min: 0 }, { symbol: 'sm' }),
  },
  outputs: {
    couplerUm: smallLength('from the coupler', {}, { symbol: 'sc' }),
    elasticUm: smallLength('from twist and give', {}, { symbol: 'se' }),
    totalUm: smallLength('in all', {}, { symbol: 's' }),
  },
  compute(inputs) {
    const couplerUm = (inputs.leadMm * 1000 * inputs.couplerBacklashDeg) / 360
    const elasticUm = (2 * inputs.frictionN) / inputs.stiffnessNPerUm
    const playUm = inputs.nutPlayUm + inputs.bearingPlayUm + couplerUm + inputs.beltPlayUm
    return { couplerUm, elasticUm, totalUm: playUm + elasticUm + inputs.motorReversalUm }
  },
})

/** Which way an axis runs when power goes, if nothing holds it. */
const RUNS = ['down', 'up', 'nowhere'] as const

/**
 * What holds an axis that its load would turn when power goes. The friction of the ways is not relied on: it is a gib
 * setting away from nothing.
 *
 * @example unpoweredDrop({ massKg: 85, inclineDeg: 90, counterbalanceN: 0, leadMm: 5, backwardEfficiency: 0.9, ratio: 1,
 *   detentTorqueNm: 0.34, dragTorqueNm: 0.17 }).reserve // 0.854291
 */
export const unpoweredDrop = calculation({
  id: 'axis.unpoweredDrop',
  title: 'What happens when power goes',
  formula: "W = m g sin(i) - Fcb; T = |W| Ph eta' / (2000 pi r); Th = Td + Tf / r + Tb; reserve = Th / T",
  source: 'Work in equals work out, over one turn; motor detent, drag and brake hold',
  validity: 'At rest; friction of the ways is left out, vibration lowers what is left',
  inputs: {
    massKg,
    inclineDeg: angle('incline of the axis', [0, 90], { symbol: 'i' }),
    counterbalanceN: force('counterbalance', { min: 0 }, { symbol: 'Fcb' }),
    leadMm,
    backwardEfficiency: plain('backward efficiency', [0, 1], { symbol: "eta'" }),
    ratio,
    detentTorqueNm: torque('detent torque of the motor', { min: 0 }, { symbol: 'Td' }),
    dragTorqueNm: torque('drag at the screw', { min: 0 }, { symbol: 'Tf' }),
    brakeTorqueNm: torque('brake on the motor', { min: 0 }, { symbol: 'Tb', default: 0 }),
  },
  outputs: {
    backdriveTorqueNm: torque('torque from the load at the motor', {}, { symbol: 'T' }),
    holdingTorqueNm: torque('torque that holds it', {}, { symbol: 'Th' }),
    reserve: plain('times over', {}, { symbol: 'Th / T', orNone: true }),
    runs: choice('which way it would run', RUNS),
  },
  compute(inputs) {
    const weightN =
      inputs.massKg * GRAVITY_M_PER_S2 * Math.sin(radians(inputs.inclineDeg)) - inputs.counterbalanceN
    const { torqueNm } = backdriveTorque.compute({
      axialForceN: Math.abs(weightN),
      leadMm: inputs.leadMm,
      backwardEfficiency: inputs.backwardEfficiency,
    })
    const backdriveTorqueNm = torqueNm / inputs.ratio
    const holdingTorqueNm =
      inputs.detentTorqueNm + inputs.dragTorqueNm / inputs.ratio + (inputs.brakeTorqueNm ?? 0)
    return {
      backdriveTorqueNm,
      holdingTorqueNm,
      reserve: backdriveTorqueNm > 0 ? holdingTorqueNm / backdriveTorqueNm : null,
      runs:
        backdriveTorqueNm === 0 ? ('nowhere' as const) : weightN > 0 ? ('down' as const) : ('up' as const),
    }
  },
})

/**
 * Push of the nut when the axis runs into something and the motor gives all it has.
 *
 * @example stallThrust({ motorTorqueNm: 6.76, ratio: 1, leadMm: 5, efficiency: 0.8 }).thrustN // 6795.89
 */
export const stallThrust = calculation({
  id: 'axis.stallThrust',
  title: 'Thrust at a stall',
  formula: 'F = 2000 pi T r eta / Ph',
  source: 'Work in equals work out, over one turn',
  validity: 'A slow stall; the inertia of a fast one comes on top',
  inputs: {
    motorTorqueNm: torque('torque of the motor', { min: 0 }, { symbol: 'T' }),
    ratio,
    leadMm,
    efficiency: plain('efficiency of the screw', { over: 0, max: 1 }, { symbol: 'eta' }),
  },
  outputs: { thrustN: force('thrust', {}, { symbol: 'F' }) },
  compute: ({ motorTorqueNm, ratio, leadMm, efficiency }) => ({
    thrustN: (2000 * Math.PI * motorTorqueNm * ratio * efficiency) / leadMm,
  }),
})

/**
 * How fast the moving mass swings on the stiffness of its drive.
 *
 * @example naturalFrequency({ stiffnessNPerUm: 147, massKg: 81 }).frequencyHz // 214.406
 */
export const naturalFrequency = calculation({
  id: 'axis.naturalFrequency',
  title: 'Natural frequency of the drive',
  formula: 'f = 1000 sqrt(k / m) / (2 pi)',
  source: 'One mass on one spring',
  validity: 'Castings are taken as rigid; damping is left out',
  inputs: { stiffnessNPerUm, massKg },
  outputs: { frequencyHz: frequency('natural frequency', {}, { symbol: 'f' }) },
  compute: ({ stiffnessNPerUm, massKg }) => ({
    frequencyHz: Math.sqrt((stiffnessNPerUm * 1e6) / massKg) / (2 * Math.PI),
  }),
})

/**
 * What a soft axis hangs behind its command while it speeds up: its mass on the spring of its drive.
 *
 * @example dynamicGive({ accelerationMmPerS2: 3820, frequencyHz: 101.9 }).giveUm // 9.3187
 */
export const dynamicGive = calculation({
  id: 'axis.dynamicGive',
  title: 'Give while speeding up',
  formula: 'd = 1000 a / (2 pi f)^2',
  source: 'One mass on one spring, pushed steadily',
  validity: 'The push lasts longer than a swing; a jerk swings up to twice as far',
  inputs: {
    accelerationMmPerS2: acceleration('acceleration', { min: 0 }, { symbol: 'a' }),
    frequencyHz: frequency('natural frequency', { over: 0 }, { symbol: 'f' }),
  },
  outputs: { giveUm: smallLength('hangs behind', {}, { symbol: 'd' }) },
  compute: ({ accelerationMmPerS2, frequencyHz }) => ({
    giveUm: (1000 * accelerationMmPerS2) / (2 * Math.PI * frequencyHz) ** 2,
  }),
})
