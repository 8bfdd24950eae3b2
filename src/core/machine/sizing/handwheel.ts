import { calculation } from '../../calculation/calculation'
import { force, length, plain, torque } from '../../field/field'

/**
 * Force of the hand on the rim of a handwheel that is kept on a motor-driven axis.
 *
 * @example handwheelForce({ screwTorqueNm: 0.6, motorDragNm: 0.06, ratio: 2, radiusMm: 60 }).rimForceN // 12
 */
export const handwheelForce = calculation({
  id: 'drive.handwheelForce',
  title: 'Force on the handwheel',
  formula: 'F = 1000 (Ts + Tm r) / R; motor share = Tm r / (Ts + Tm r)',
  source: 'Equilibrium of torques at the screw',
  validity: 'Motor without current, turned along by the screw; a driver that is on holds against the hand',
  inputs: {
    screwTorqueNm: torque('torque that moves the axis, at the screw', { min: 0 }, { symbol: 'Ts' }),
    motorDragNm: torque('detent torque of the motor', { min: 0 }, { symbol: 'Tm' }),
    ratio: plain('motor turns per screw turn', { over: 0 }, { symbol: 'r' }),
    radiusMm: length('middle of the handwheel to its grip', { over: 0 }, { symbol: 'R' }),
  },
  outputs: {
    rimForceN: force('force at the grip', {}, { symbol: 'F' }),
    motorShare: plain('share of it that the motor asks', {}, { symbol: 'motor share' }),
  },
  compute({ screwTorqueNm, motorDragNm, ratio, radiusMm }) {
    const motorNm = motorDragNm * ratio
    const totalNm = screwTorqueNm + motorNm
    return { rimForceN: (1000 * totalNm) / radiusMm, motorShare: totalNm > 0 ? motorNm / totalNm : 0 }
  },
})
