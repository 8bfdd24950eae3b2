import { defineChecks } from '../../evaluation/check'
import { NO_FIGURES } from '../../evaluation/measures'
import {
  fastenerChooseLength,
  fastenerEngagement,
  fastenerTorque,
  STOCK_LENGTHS_MM,
} from '../../machine/joints/fastener'
import { type JudgedJoint, jointInputs, judgeJoint, torqueInputs } from '../../machine/joints/joint'

const LONGEST_SCREW_MM = STOCK_LENGTHS_MM[STOCK_LENGTHS_MM.length - 1] as number

/** The joint whose thread is used the least, for what it needs. */
const leastEngaged = (judged: [JudgedJoint, ...JudgedJoint[]]): JudgedJoint => {
  const ratio = ({ chosen }: JudgedJoint) => (chosen ? chosen.engagementMm / chosen.requiredMm : 0)
  return judged.reduce((least, one) => (ratio(one) < ratio(least) ? one : least))
}

export const FASTENER_CHECKS = defineChecks({
  'room.joints': {
    title: 'Screws of the joints',
    subject: 'axis',
    judge(t, say) {
      const { joints } = t.axis
      const [firstJoint, ...others] = joints
      if (!firstJoint) return null
      const judged: [JudgedJoint, ...JudgedJoint[]] = [judgeJoint(firstJoint), ...others.map(judgeJoint)]
      const hopeless = judged.find(({ chosenMm }) => chosenMm === null)
      const wrong = judged.filter(({ supplied }) => supplied && supplied.verdict !== 'ok')
      const worst = hopeless ?? wrong[0] ?? leastEngaged(judged)
      const screwLengthMm =
        (wrong.includes(worst) ? worst.joint.suppliedMm : worst.chosenMm) ?? LONGEST_SCREW_MM
      t.figure('joint', fastenerEngagement, { ...jointInputs(worst.joint), screwLengthMm })
      t.figure('jointLength', fastenerChooseLength, jointInputs(worst.joint))
      if (worst.chosen)
        t.figure('jointTorque', fastenerTorque, torqueInputs(worst.joint, worst.chosen.engagementMm))
      if (hopeless)
        return {
          ...NO_FIGURES,
          state: 'fails',
          sentence: `${hopeless.joint.label}: no screw that is sold holds in it. Tap deeper, thin the grip, or bolt through.`,
        }
      const [first] = wrong
      if (!first) {
        const screws = joints.reduce((sum, { count }) => sum + count, 0)
        return {
          ...NO_FIGURES,
          state: 'holds',
          sentence: `All ${screws} screws go in far enough, and none bottoms out.`,
        }
      }
      const { joint, supplied, chosenMm } = first
      return {
        ...NO_FIGURES,
        state: 'close',
        sentence: `${joint.label}: the ${joint.thread} screws of ${joint.suppliedMm} mm that came with it ${
          supplied?.verdict === 'short'
            ? `reach only ${say(supplied.engagementMm, 'length', 1)} of the ${say(supplied.requiredMm, 'length', 1)} needed`
            : 'bottom out before they clamp'
        }. Take ${chosenMm} mm.${wrong.length > 1 ? ` ${wrong.length - 1} more joints are wrong.` : ''}`,
      }
    },
  },
})
