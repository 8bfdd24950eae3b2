import { calculation } from '../../calculation/calculation'
import { acceleration, duration, length, plain, torque } from '../../field/field'
import { trapezoid } from './motion'

const torqueNm = (label: string, symbol: string) => torque(label, {}, { symbol })

/**
 * A table that goes to and fro without end: how fast it gets, how often it turns round, and the steady torque that warms the
 * motor as its speeding up and slowing do.
 *
 * @example strokeTorque({ strokeMm: 247, speedMmPerS: 386, accelerationMmPerS2: 1165, dwellS: 0, accelerateNm: 1.686,
 *   cruiseNm: 0.995, decelerateNm: -0.865 }).rmsTorqueNm // 1.24078
 */
export const strokeTorque = calculation({
  id: 'motor.strokeTorque',
  title: 'Torque of the motor to and fro',
  formula: 'T = sqrt((Ta^2 ta + Tc^2 tc + Td^2 ta) / (2 ta + tc + td)); v = s / (2 ta + tc + td)',
  source: 'Heat in the windings grows with the square of the torque; motion.trapezoid over one stroke',
  validity: 'Strokes follow each other, each with its rest; short ones never reach the speed',
  inputs: {
    strokeMm: length('stroke', { over: 0 }, { symbol: 's' }),
    speedMmPerS: plain('speed', { over: 0 }, { symbol: 'v0', unit: 'mm/s' }),
    accelerationMmPerS2: acceleration('acceleration', { over: 0 }, { symbol: 'a' }),
    dwellS: duration('rest at each end', { min: 0 }, { symbol: 'td' }),
    accelerateNm: torqueNm('torque while speeding up', 'Ta'),
    cruiseNm: torqueNm('torque while running', 'Tc'),
    decelerateNm: torqueNm('torque while slowing', 'Td'),
  },
  outputs: {
    peakSpeedMmPerS: plain('speed reached', {}, { symbol: 'vp', unit: 'mm/s' }),
    strokesPerMinute: plain('strokes a minute', {}, { symbol: 'N', unit: '1/min' }),
    meanSpeedMmPerS: plain('mean speed', {}, { symbol: 'v', unit: 'mm/s' }),
    rmsTorqueNm: torqueNm('torque over the strokes', 'T'),
  },
  compute({ strokeMm, speedMmPerS, accelerationMmPerS2, dwellS, accelerateNm, cruiseNm, decelerateNm }) {
    const { peakSpeedMmPerS, accelerateS, cruiseS, totalS } = trapezoid.compute({
      distanceMm: strokeMm,
      speedMmPerS,
      accelerationMmPerS2,
    })
    const wholeS = totalS + dwellS
    const squares = (accelerateNm ** 2 + decelerateNm ** 2) * accelerateS + cruiseNm ** 2 * cruiseS
    return {
      peakSpeedMmPerS,
      strokesPerMinute: 60 / wholeS,
      meanSpeedMmPerS: strokeMm / wholeS,
      rmsTorqueNm: Math.sqrt(squares / wholeS),
    }
  },
})
