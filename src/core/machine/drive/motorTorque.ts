import type { Drive } from '../../document/axis'
import type { PartOf } from '../../document/parts/types'
import { type EvaluationContext, remembered } from '../../evaluation/context'

type Motor = Pick<PartOf['motor'], 'holdingTorqueNm' | 'ratedCurrentA' | 'driveCurrentA'>

/**
 * The greatest torque of a motor with the driver as it is set: torque goes with the current.
 *
 * @example drivenTorqueNm({ holdingTorqueNm: 2.2, ratedCurrentA: 4.2, driveCurrentA: 2.1 }) // 1.1
 */
export const drivenTorqueNm = ({ holdingTorqueNm, ratedCurrentA, driveCurrentA }: Motor): number =>
  holdingTorqueNm * Math.min(1, driveCurrentA / ratedCurrentA)

/** The current that is set on the driver of a motor: that of the axis, or as its sheet has it, and no more than it bears. */
export const currentAsSetA = (
  { currentA }: Drive,
  { driveCurrentA, ratedCurrentA }: Pick<PartOf['motor'], 'driveCurrentA' | 'ratedCurrentA'>,
): number => Math.min(currentA ?? driveCurrentA, ratedCurrentA)

/**
 * The motor with the current that is set on its driver: that of the axis, or as its sheet has it. A maker's curve goes with the
 * current, which is less than it gives at high speeds.
 */
export const motorAsSet = remembered((t: EvaluationContext): PartOf['motor'] => {
  const motor = t.part('motor')
  const { drive } = t.axis
  if (drive.currentA === null) return motor
  const driveCurrentA = currentAsSetA(drive, motor)
  const share = driveCurrentA / motor.driveCurrentA
  const curve =
    motor.curve?.map(({ speedRpm, torqueNm }) => ({ speedRpm, torqueNm: torqueNm * share })) ?? null
  return { ...motor, driveCurrentA, curve }
})
