import { calculation } from '../../calculation/calculation'
import { number } from '../../calculation/spec'

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
    screwTorqueNm: number('torque that moves the axis, at the screw', 'Ts', 'N m', { min: 0 }),
    motorDragNm: number('detent torque of the motor', 'Tm', 'N m', { min: 0 }),
    ratio: number('motor turns per screw turn', 'r', '1', { over: 0 }),
    radiusMm: number('middle of the handwheel to its grip', 'R', 'mm', { over: 0 }),
  },
  outputs: {
    rimForceN: number('force at the grip', 'F', 'N', {}),
    motorShare: number('share of it that the motor asks', 'motor share', '1', {}),
  },
  compute({ screwTorqueNm, motorDragNm, ratio, radiusMm }) {
    const motorNm = motorDragNm * ratio
    const totalNm = screwTorqueNm + motorNm
    return { rimForceN: (1000 * totalNm) / radiusMm, motorShare: totalNm > 0 ? motorNm / totalNm : 0 }
  },
})
