import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { list, number, record } from '../../calculation/spec'

const speedRpm = number('speed', 'n', 'rpm', { min: 0 })
const torqueNm = number('torque', 'T', 'N m', {})
export const holdingTorqueNm = number('holding torque', 'Th', 'N m', { over: 0 })
export const fullStepsPerRev = number('full steps per turn', 'z', '1', { min: 4, integer: true })

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
    ratedCurrentA: number('rated current', 'Ir', 'A', { over: 0 }),
    driveCurrentA: number('current set on the driver', 'Id', 'A', { over: 0 }),
    inductanceMh: number('inductance of a phase', 'L', 'mH', { over: 0 }),
    supplyV: number('supply', 'V', 'V', { over: 0 }),
    fullStepsPerRev,
    speedRpm,
    pullOutFactor: number('share of holding torque when turning', 'k', '1', {
      over: 0,
      max: 1,
      default: 0.8,
    }),
  },
  outputs: { torqueNm, cornerSpeedRpm: number('corner speed', 'nc', 'rpm', {}) },
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
      record('point', { speedRpm, torqueNm: number('torque', 'T', 'N m', { min: 0 }) }),
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
        timeShare: number('share of the time', 'q', '1', { min: 0, max: 1 }),
      }),
    ),
  },
  outputs: { rmsTorqueNm: number('torque over the duty', 'T', 'N m', {}) },
  compute({ phases }) {
    const shares = phases.reduce((sum, { timeShare }) => sum + timeShare, 0)
    if (!(shares > 0))
      throw new InputError('phases', phases, 'at least one phase with a share of the time over 0')
    const squares = phases.reduce((sum, phase) => sum + phase.torqueNm ** 2 * phase.timeShare, 0)
    return { rmsTorqueNm: Math.sqrt(squares / shares) }
  },
})
