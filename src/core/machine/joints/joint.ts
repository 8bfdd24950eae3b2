import { fastenerChooseLength, fastenerEngagement, fastenerTorque } from './fastener'
import type { BoltedJoint } from './model'
import { threadDrills } from './thread'

/** Friction of a screw that is lightly oiled, and how much of its strength is used. */
export const OILED_FRICTION = 0.12
export const UTILISATION = 0.7

export const jointInputs = ({ thread, material, gripMm, washerMm, threadDepthMm, blind }: BoltedJoint) => ({
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

function judge(joint: BoltedJoint) {
  const { thread, suppliedMm } = joint
  const common = jointInputs(joint)
  const { screwLengthMm } = fastenerChooseLength(common)
  const supplied = suppliedMm === null ? null : fastenerEngagement({ ...common, screwLengthMm: suppliedMm })
  const chosenMm = supplied?.verdict === 'ok' ? suppliedMm : screwLengthMm
  const chosen = chosenMm === null ? null : fastenerEngagement({ ...common, screwLengthMm: chosenMm })
  const tight =
    chosen && chosen.engagementMm > 0 ? fastenerTorque(torqueInputs(joint, chosen.engagementMm)) : null
  return { joint, supplied, chosenMm, chosen, tight, drills: threadDrills({ thread }) }
}
export type JudgedJoint = ReturnType<typeof judge>

const judged = new WeakMap<BoltedJoint, JudgedJoint>()
/**
 * What is known of a bolted joint: the screw to take, what it bears, how tight. Worked out once for each joint of a
 * document, as joints stay as they are while other things are typed.
 */
export function judgeJoint(joint: BoltedJoint): JudgedJoint {
  const known = judged.get(joint) ?? judge(joint)
  judged.set(joint, known)
  return known
}

/** Whether the screws of a joint must be bought: those that came with the part and hold need not be. */
export const lacksScrews = ({ chosenMm, supplied }: JudgedJoint): boolean =>
  chosenMm !== null && supplied?.verdict !== 'ok'
