import type { Axis } from '../../../document/axis'
import { stockLengthWords } from '../../../machine/joints/fastener'
import { type JudgedJoint, judgeJoint } from '../../../machine/joints/joint'
import { type DriveJoint, JOINT_WORDS } from '../../../machine/joints/model'
import type { BoltState, Step } from './step'

/** The share of its torque that a joint has in each state: enough to stay where it is, little enough to be shifted. */
const SHARE: Record<BoltState, number> = { out: 0, loose: 0, nipped: 0.2, tight: 0.5, torqued: 1 }
/** Joints that are not shifted any more once they are tight. */
const AT_ONCE: ReadonlySet<DriveJoint> = new Set(['screwHub', 'motorFace', 'motorHub'])

/** The screws of a joint as a step does them up. */
export interface StepScrews {
  joint: DriveJoint
  state: BoltState
  label: string
  /** None where no joint of Make room is said to be this one, or it is not measured. */
  judged: JudgedJoint | null
  /** How many there are for what the step is about. */
  count: number | null
  /** Such as `M8 x 40 mm`. */
  size: string | null
  /** What they are tightened to in this step; none where that is not known, or they are only put in. */
  torqueNm: number | null
  fullNm: number | null
}

/** The share of the full torque that a step tightens a joint to. */
export const torqueShare = (joint: DriveJoint, state: BoltState): number =>
  state === 'tight' && AT_ONCE.has(joint) ? 1 : SHARE[state]

/** Whether screws are done up to a torque that nobody knows: that they have it cannot be ticked. */
export const isTorquedUnknown = ({ joint, state, fullNm }: StepScrews): boolean =>
  torqueShare(joint, state) === 1 && fullNm === null

/** The screws that a step does up, from the joints of Make room that are said to be these. */
export const screwsOf = (step: Step, axis: Pick<Axis, 'joints' | 'drive'>): StepScrews[] =>
  (Object.entries(step.bolts) as [DriveJoint, BoltState][]).flatMap(([joint, state]): StepScrews[] => {
    const rows = axis.joints.filter(({ holds }) => holds === joint)
    if (rows.length === 0)
      return [
        {
          joint,
          state,
          label: JOINT_WORDS[joint],
          judged: null,
          count: null,
          size: null,
          torqueNm: null,
          fullNm: null,
        },
      ]
    return rows.map(row => {
      const judged = judgeJoint(row)
      const fullNm = judged?.tight?.torqueNm ?? null
      const share = torqueShare(joint, state)
      // A joint of a gantry counts the screws of both its ends.
      const count = row.count === null ? null : step.screw ? Math.ceil(row.count / 2) : row.count
      return {
        joint,
        state,
        label: row.label,
        judged,
        count,
        size: judged?.chosenMm
          ? `${row.thread} x ${stockLengthWords(row.thread, judged.chosenMm)}`
          : row.thread,
        torqueNm: fullNm !== null && share > 0 ? fullNm * share : null,
        fullNm,
      }
    })
  })
