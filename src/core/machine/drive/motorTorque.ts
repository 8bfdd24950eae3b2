import type { PartOf } from '../../document/parts/types'

type Motor = Pick<PartOf['motor'], 'holdingTorqueNm' | 'ratedCurrentA' | 'driveCurrentA'>

/**
 * The greatest torque of a motor with the driver as it is set: torque goes with the current.
 *
 * @example drivenTorqueNm({ holdingTorqueNm: 2.2, ratedCurrentA: 4.2, driveCurrentA: 2.1 }) // 1.1
 */
export const drivenTorqueNm = ({ holdingTorqueNm, ratedCurrentA, driveCurrentA }: Motor): number =>
  holdingTorqueNm * Math.min(1, driveCurrentA / ratedCurrentA)
