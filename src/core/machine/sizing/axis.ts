import { calculation } from '../../calculation/calculation'
import { GRAVITY_M_PER_S2, radians } from '../../calculation/constants'
import { choice, list, number } from '../../calculation/spec'
import { backdriveTorque } from './screwTorque'

const massKg = number('moving mass', 'm', 'kg', { over: 0 })
const leadMm = number('lead', 'Ph', 'mm', { over: 0 })
const ratio = number('motor turns per screw turn', 'r', '1', { over: 0 })
const stiffnessNPerUm = number('stiffness', 'k', 'N/um', { over: 0 })

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
    nutPlayUm: number('play of the nut', 'sn', 'um', { min: 0 }),
    bearingPlayUm: number('play of the bearings', 'sb', 'um', { min: 0 }),
    couplerBacklashDeg: number('backlash of the coupler', 'theta', 'deg', { min: 0 }),
    beltPlayUm: number('play of the belt at the slide', 'sp', 'um', { min: 0 }),
    leadMm,
    frictionN: number('friction of the axis', 'f', 'N', { min: 0 }),
    stiffnessNPerUm,
    motorReversalUm: number('lag of the motor, both ways', 'sm', 'um', { min: 0 }),
  },
  outputs: {
    couplerUm: number('from the coupler', 'sc', 'um', {}),
    elasticUm: number('from twist and give', 'se', 'um', {}),
    totalUm: number('in all', 's', 'um', {}),
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
    inclineDeg: number('incline of the axis', 'i', 'deg', { min: 0, max: 90 }),
    counterbalanceN: number('counterbalance', 'Fcb', 'N', { min: 0 }),
    leadMm,
    backwardEfficiency: number('backward efficiency', "eta'", '1', { min: 0, max: 1 }),
    ratio,
    detentTorqueNm: number('detent torque of the motor', 'Td', 'N m', { min: 0 }),
    dragTorqueNm: number('drag at the screw', 'Tf', 'N m', { min: 0 }),
    brakeTorqueNm: number('brake on the motor', 'Tb', 'N m', { min: 0, default: 0 }),
  },
  outputs: {
    backdriveTorqueNm: number('torque from the load at the motor', 'T', 'N m', {}),
    holdingTorqueNm: number('torque that holds it', 'Th', 'N m', {}),
    reserve: number('times over', 'Th / T', '1', { orNone: true }),
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
    motorTorqueNm: number('torque of the motor', 'T', 'N m', { min: 0 }),
    ratio,
    leadMm,
    efficiency: number('efficiency of the screw', 'eta', '1', { over: 0, max: 1 }),
  },
  outputs: { thrustN: number('thrust', 'F', 'N', {}) },
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
  outputs: { frequencyHz: number('natural frequency', 'f', 'Hz', {}) },
  compute: ({ stiffnessNPerUm, massKg }) => ({
    frequencyHz: Math.sqrt((stiffnessNPerUm * 1e6) / massKg) / (2 * Math.PI),
  }),
})
