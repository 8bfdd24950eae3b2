import { defineChecks } from '../../evaluation/check'
import { filled } from '../../evaluation/filled'
import { standing } from '../../evaluation/finding'
import { measure, NO_FIGURES } from '../../evaluation/measures'
import { pullN } from '../../machine/drive/strength'
import {
  fastenerChooseLength,
  fastenerEngagement,
  fastenerTorque,
  longestStockMm,
  stockLengthWords,
} from '../../machine/joints/fastener'
import { weakestGrip } from '../../machine/joints/grip'
import {
  JOINT_NEEDS,
  type JudgedJoint,
  jointInputs,
  judgedJoints,
  judgeJoint,
  torqueInputs,
} from '../../machine/joints/joint'
import { JOINTS } from '../../machine/joints/model'
import { LIMITS } from './limits'

/** The joint whose thread is used the least, for what it needs. */
const leastEngaged = (judged: readonly JudgedJoint[]): JudgedJoint | undefined => {
  const ratio = ({ chosen }: JudgedJoint) => (chosen ? chosen.engagementMm / chosen.requiredMm : 0)
  return judged.toSorted((a, b) => ratio(a) - ratio(b))[0]
}

export const FASTENER_CHECKS = defineChecks({
  'room.joints': {
    title: 'Screws of the joints',
    subject: 'axis',
    judge(t, say) {
      const { joints } = t.axis
      if (joints.length === 0) return null
      const judged = judgedJoints(joints)
      const hopeless = judged.find(({ chosenMm }) => chosenMm === null)
      const open = joints.find(joint => judgeJoint(joint) === null)
      const wrong = judged.filter(({ supplied, serves }) => supplied && !serves)
      const back = judged.filter(({ heldBack }) => heldBack)
      // What is known to be wrong is so whatever the rest comes to.
      if (open && !hopeless && wrong.length === 0)
        filled(open, JOINT_NEEDS, JOINTS.of, { sheet: 'fasteners', stage: 'room', name: open.label })
      const worst = hopeless ?? wrong[0] ?? leastEngaged(judged)
      if (!worst) return null
      const screwLengthMm =
        (wrong.includes(worst) ? worst.joint.suppliedMm : worst.chosenMm) ??
        longestStockMm(worst.joint.thread)
      t.figure('joint', fastenerEngagement, { ...jointInputs(worst.joint), screwLengthMm })
      t.figure('jointLength', fastenerChooseLength, jointInputs(worst.joint))
      if (worst.chosen)
        t.figure('jointTorque', fastenerTorque, torqueInputs(worst.joint, worst.chosen.engagementMm))
      if (hopeless)
        return {
          ...NO_FIGURES,
          state: 'fails',
          sentence: () =>
            `${hopeless.joint.label}: no screw that is sold holds in it. Tap deeper, thin the grip, or bolt through.`,
        }
      const [first] = wrong
      if (first) {
        const { joint, supplied, chosenMm } = first
        const words = (lengthMm: number) => stockLengthWords(joint.thread, lengthMm)
        return {
          ...NO_FIGURES,
          state: 'close',
          sentence: () =>
            `${joint.label}: the ${joint.thread} screws of ${words(joint.suppliedMm ?? 0)} that came with it ${
              supplied?.verdict === 'short'
                ? `reach only ${say(supplied.engagementMm, 'length', 1)} of the ${say(supplied.requiredMm, 'length', 1)} needed`
                : 'would stand on the bottom of the hole before they clamp'
            }. Take ${words(chosenMm ?? 0)}.${wrong.length > 1 ? ` ${wrong.length - 1} more joints are wrong.` : ''}`,
        }
      }
      const [weak] = back
      const chosen = weak?.chosen
      if (chosen)
        return {
          ...NO_FIGURES,
          state: 'close',
          sentence: () =>
            `${weak.joint.label}: its thread takes ${say(chosen.engagementMm, 'length', 1)} of the ${say(chosen.requiredMm, 'length', 1)} wanted. Held back to ${say(weak.tight?.torqueNm ?? 0, 'torque', 1)}, which that much thread bears, it holds; tap deeper for the full strength.`,
        }
      const screws = judged.reduce((sum, { joint }) => sum + joint.count, 0)
      return {
        ...NO_FIGURES,
        state: 'holds',
        sentence: () =>
          `All ${screws} screws go in far enough, and none stands on the bottom of its hole. Whether they hold what goes through them is judged for blocks, bracket and nut.`,
      }
    },
  },
  'joint.slip': {
    title: 'Grip of blocks, bracket and nut',
    subject: 'bearing',
    judge(t, say) {
      const weakest = weakestGrip(t)
      if (!weakest) return null
      const { joint, forceN, bearsN, safety, by } = weakest
      const limits = LIMITS['joint.slip']
      const { holds } = t.limits(limits)
      const how = {
        friction: 'its screws press it so that friction holds',
        dowels: 'its dowels bear',
        screws: 'its screws are pulled along themselves and hold it shut up to',
      }[by]
      const pull = pullN(t)
      const with_ = pull > 0 && joint.holds !== 'nut' && joint.holds !== 'bracket'
      return {
        ...standing(t, limits, safety),
        figure: measure(forceN, 'force'),
        limit: measure(bearsN / holds, 'force'),
        use: holds / safety,
        sentence: () =>
          `${joint.label}: ${how} ${say(bearsN, 'force')}, against ${say(forceN, 'force')} of cut or stall${with_ ? `, ${say(pull, 'force')} of it the pull of the stretched screw` : ''}: ${say(safety, 'ratio', 1)} times, ${holds} wanted.${by === 'friction' && safety < holds ? ' Otherwise it creeps at the first crash, and the alignment with it.' : ''}`,
      }
    },
  },
})
