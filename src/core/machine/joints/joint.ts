import { TOLERANCE_MM } from '../../calculation/constants'
import { type Filled, isFilled } from '../../evaluation/filled'
import { fastenerChooseLength, fastenerEngagement, fastenerTorque } from './fastener'
import type { BoltedJoint } from './model'
import { threadDrills } from './thread'

/** Friction of a screw that is lightly oiled, and how much of its strength is used. */
export const OILED_FRICTION = 0.12
export const UTILISATION = 0.7

/** What must be known of a joint before its screws can be chosen. */
export const JOINT_NEEDS = ['gripMm', 'threadDepthMm', 'count'] as const
export type MeasuredJoint = Filled<BoltedJoint, (typeof JOINT_NEEDS)[number]>

export const jointInputs = ({ thread, material, gripMm, washerMm, threadDepthMm, blind }: MeasuredJoint) => ({
  thread,
  material,
  gripMm,
  washerMm,
  threadDepthMm,
  blind,
})
export const torqueInputs = ({ thread, propertyClass, material }: BoltedJoint, engagementMm: number) => ({
  thread,
  propertyClass,
  material,
  frictionCoefficient: OILED_FRICTION,
  utilisation: UTILISATION,
  engagementMm,
})

function judge(joint: MeasuredJoint) {
  const { thread, suppliedMm } = joint
  const common = jointInputs(joint)
  const { screwLengthMm, heldBack } = fastenerChooseLength(common)
  const supplied = suppliedMm === null ? null : fastenerEngagement({ ...common, screwLengthMm: suppliedMm })
  // Where nothing engages as far as it should, what came with the part serves when it engages as far as the best.
  const best = screwLengthMm === null ? null : fastenerEngagement({ ...common, screwLengthMm })
  const serves =
    supplied !== null &&
    (supplied.verdict === 'ok' ||
      (heldBack &&
        supplied.verdict === 'short' &&
        supplied.engagementMm >= (best?.engagementMm ?? 0) - TOLERANCE_MM))
  const chosenMm = serves ? suppliedMm : screwLengthMm
  const chosen = chosenMm === null ? null : fastenerEngagement({ ...common, screwLengthMm: chosenMm })
  const tight =
    chosen && chosen.engagementMm > 0 ? fastenerTorque(torqueInputs(joint, chosen.engagementMm)) : null
  return {
    joint,
    supplied,
    /** Whether the screws that came with the part do. */
    serves,
    chosenMm,
    /** Whether the thread is too short for its full strength, so that the torque is held to what it bears. */
    heldBack: heldBack && chosenMm !== null,
    chosen,
    tight,
    drills: threadDrills({ thread }),
  }
}
export type JudgedJoint = ReturnType<typeof judge>

const judged = new WeakMap<BoltedJoint, JudgedJoint | null>()
/**
 * What is known of a bolted joint: the screw to take, what it bears, how tight. Worked out once for each joint of a
 * document, as joints stay as they are while other things are typed.
 *
 * @returns null while something of the joint is not measured
 */
export function judgeJoint(joint: BoltedJoint): JudgedJoint | null {
  const known = judged.get(joint)
  if (known !== undefined) return known
  const found = isFilled(joint, JOINT_NEEDS) ? judge(joint) : null
  judged.set(joint, found)
  return found
}

/** Those of the joints that are measured, judged. */
export const judgedJoints = (joints: readonly BoltedJoint[]): JudgedJoint[] =>
  joints.map(judgeJoint).filter(one => one !== null)

/** Whether the screws of a joint must be bought: those that came with the part and hold need not be. */
export const lacksScrews = ({ chosenMm, serves }: JudgedJoint): boolean => chosenMm !== null && !serves
