import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { list, plain, record, rotation, torque } from '../../field/field'

const speedRpm = rotation('speed', { min: 0 }, { symbol: 'n' })
const torqueNm = torque('torque', {}, { symbol: 'T' })
export const holdingTorqueNm = torque('holding torque', { over: 0 }, { symbol: 'Th' })
export const fullStepsPerRev = plain('full steps per turn', { min: 4 }, { symbol: 'z', whole: true })

/**
 * Torque that a stepper gives at a speed, from its windings and supply.
 *
 * @example stepperTorque({ holdingTorqueNm: 5.29, ratedCurrentA: 5.2, driveCurrentA: 2.5, inductanceMh: 4.4,
 *   supplyV: 24, fullStepsPerRev: 200, speedRpm: 1185, pullOutFactor: 0.8 }).torqueNm // 0.561919
 */
export const stepperTorque = calculation({
  id: 'motor.stepperTorque',
  title: 'Torque of a stepper at a speed',
  formula: 'i = min(Id, Ir); T0 = k Th i / Ir; nc = 60000 V / (2 L i z); T = T0 up to nc, then T0 nc / n',
  source: 'Current rise in the windings against supply voltage',
  validity: 'A first estimate: a measured curve of the motor with its driver wins over it',
  inputs: {
    holdingTorqueNm,
    ratedCurrentA: plain('rated current', { over: 0 }, { symbol: 'Ir', unit: 'A' }),
    driveCurrentA: plain('current set on the driver', { over: 0 }, { symbol: 'Id', unit: 'A' }),
    inductanceMh: plain('inductance of a phase', { over: 0 }, { symbol: 'L', unit: 'mH' }),
    supplyV: plain('supply', { over: 0 }, { symbol: 'V', unit: 'V' }),
    fullStepsPerRev,
    speedRpm,
    pullOutFactor: plain(
      'share of holding torque when turning',
      { over: 0, max: 1 },
      { symbol: 'k', default: 0.8 },
    ),
  },
  outputs: { torqueNm, cornerSpeedRpm: rotation('corner speed', {}, { symbol: 'nc' }) },
  compute({
    holdingTorqueNm,
    ratedCurrentA,
    driveCurrentA,
    inductanceMh,
    supplyV,
    fullStepsPerRev,
    speedRpm,
    pullOutFactor = 0.8,
  }) {
    const currentA = Math.min(driveCurrentA, ratedCurrentA)
    const flatNm = (pullOutFactor * holdingTorqueNm * currentA) / ratedCurrentA
    const cornerSpeedRpm = (60 * supplyV) / (2 * (inductanceMh / 1000) * currentA * fullStepsPerRev)
    return {
      torqueNm: speedRpm <= cornerSpeedRpm ? flatNm : (flatNm * cornerSpeedRpm) / speedRpm,
      cornerSpeedRpm,
    }
  },
})

/**
 * Torque read off a maker's curve.
 *
 * @throws InputError when the curve's speeds do not rise
 * @example tableTorque({ curve: [{ speedRpm: 0, torqueNm: 2 }, { speedRpm: 100, torqueNm: 1 }], speedRpm: 50 }).torqueNm // 1.5
 */
export const tableTorque = calculation({
  id: 'motor.tableTorque',
  title: 'Torque from the motor curve',
  formula: 'linear between the points; flat before the first; 0 past the last',
  source: "The maker's curve for the motor with its driver",
  validity: 'Speeds of the curve rise from point to point',
  inputs: {
    curve: list(
      'torque over speed',
      record('point', { speedRpm, torqueNm: torque('torque', { min: 0 }, { symbol: 'T' }) }),
      1,
    ),
    speedRpm,
  },
  outputs: { torqueNm },
  compute({ curve, speedRpm }) {
    for (let i = 1; i < curve.length; i++)
      if (speedAt(curve, i) <= speedAt(curve, i - 1))
        throw new InputError(
          `curve[${i}].speedRpm`,
          speedAt(curve, i),
          `a speed over ${speedAt(curve, i - 1)} rpm`,
        )
    const after = curve.findIndex(point => point.speedRpm >= speedRpm)
    const high = curve[after]
    if (!high) return { torqueNm: 0 }
    const low = curve[after - 1]
    if (!low) return { torqueNm: high.torqueNm }
    const share = (speedRpm - low.speedRpm) / (high.speedRpm - low.speedRpm)
    return { torqueNm: low.torqueNm + share * (high.torqueNm - low.torqueNm) }
  },
})

/** Speed of a point of a curve; 0 where there is none. */
const speedAt = (curve: { speedRpm: number }[], index: number) => curve[index]?.speedRpm ?? 0

/**
 * The steady torque that warms a motor as the phases of its duty do.
 *
 * @throws InputError when no phase has a share of the time
 * @example rmsTorque({ phases: [{ torqueNm: 2, timeShare: 0.25 }, { torqueNm: 0, timeShare: 0.75 }] }).rmsTorqueNm // 1
 */
export const rmsTorque = calculation({
  id: 'motor.rmsTorque',
  title: 'Torque of the motor over a duty',
  formula: 'T = sqrt(sum(Ti^2 qi) / sum(qi))',
  source: 'Heat in the windings grows with the square of the torque',
  validity: 'Cycles shorter than the motor takes to warm',
  inputs: {
    phases: list(
      'phases of the duty',
      record('phase', {
        torqueNm,
        timeShare: plain('share of the time', [0, 1], { symbol: 'q' }),
      }),
    ),
  },
  outputs: { rmsTorqueNm: torque('torque over the duty', {}, { symbol: 'T' }) },
  compute({ phases }) {
    const shares = phases.reduce((sum, { timeShare }) => sum + timeShare, 0)
    if (!(shares > 0))
      throw new InputError('phases', phases, 'at least one phase with a share of the time over 0')
    const squares = phases.reduce((sum, phase) => sum + phase.torqueNm ** 2 * phase.timeShare, 0)
    return { rmsTorqueNm: Math.sqrt(squares / shares) }
  },
})
