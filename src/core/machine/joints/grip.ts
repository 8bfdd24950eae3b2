import { type EvaluationContext, remembered } from '../../evaluation/context'
import { filled } from '../../evaluation/filled'
import { alongN, pullN } from '../drive/strength'
import { JOINT_NEEDS, judgeJoint } from './joint'
import { type BoltedJoint, JOINTS } from './model'
import { dowelsBearN, jointSlip } from './slip'
import { THREADS } from './threadTable'

/** What a joint of the drive holds along the screw, and how. */
export interface Grip {
  joint: BoltedJoint
  /** The largest of cut and stall, with the pull of a stretched screw where that goes through it. */
  forceN: number
  bearsN: number
  safety: number
  /**
   * By what: friction across its faces, dowels across them, or screws that are pulled along themselves, as those of a nut's flange
   * are: friction has nothing to do with those.
   */
  by: 'friction' | 'dowels' | 'screws'
}

/** Joints that the thrust of the drive goes through; a far end that is only supported takes none. */
const takesThrust = ({ holds }: BoltedJoint, ends: string): boolean =>
  holds === 'fixedBlock' ||
  holds === 'bracket' ||
  holds === 'nut' ||
  (holds === 'farBlock' && ends === 'fixed-fixed')

/**
 * What every joint holds that the thrust of the drive goes through.
 *
 * @throws NotKnown while one is not measured, or a part is not chosen
 */
export const grips = remembered((t: EvaluationContext): Grip[] => {
  const { joints, ends, drive } = t.axis
  return joints
    .filter(joint => takesThrust(joint, ends))
    .map((joint): Grip => {
      const { count } = filled(joint, JOINT_NEEDS, JOINTS.of, {
        sheet: 'fasteners',
        stage: 'room',
        name: joint.label,
      })
      const isBlock = joint.holds === 'fixedBlock' || joint.holds === 'farBlock'
      const forceN = Math.max(1, alongN(t) + (isBlock ? pullN(t) : 0))
      const boltPreloadN = judgeJoint(joint)?.tight?.preloadN ?? 0
      // A joint of a gantry counts the screws of both its ends.
      const ofOne = Math.max(1, Math.floor(count / drive.screws))
      if (joint.holds === 'nut') {
        const bearsN = ofOne * boltPreloadN
        return { joint, forceN, bearsN, safety: bearsN / forceN, by: 'screws' }
      }
      const { gripN, safety } = t.figure(`slip.${joint.id}`, jointSlip, {
        count: ofOne,
        boltPreloadN,
        forceN,
      })
      if (!joint.located) return { joint, forceN, bearsN: gripN, safety, by: 'friction' }
      const bearsN = Math.max(gripN, dowelsBearN(THREADS[joint.thread].diameterMm))
      return { joint, forceN, bearsN, safety: bearsN / forceN, by: 'dowels' }
    })
})

/** The joint that holds least for what it must; null where none is said to be one that the thrust goes through. */
export const weakestGrip = (t: EvaluationContext): Grip | null =>
  grips(t).reduce<Grip | null>((worst, one) => (worst && worst.safety <= one.safety ? worst : one), null)
