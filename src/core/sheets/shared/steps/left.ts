import type { Axis } from '../../../document/axis'
import { type DriveJoint, JOINT_WORDS, JOINTS_OF_DRIVE } from '../../../machine/joints/model'
import { aidsIn, aidWords } from './aids'
import { boltStates } from './holds'
import type { Step } from './step'

/**
 * What an evening leaves behind: joints that are begun and not done up, and aids that are still in.
 *
 * @example leftLoose(steps, axis) // ['nut to its bracket: nipped', 'still in: clamp on the nut']
 */
export function leftLoose(
  steps: readonly Step[],
  axis: Pick<Axis, 'ticks' | 'supports' | 'supportDoubtedAt'>,
): string[] {
  const states = boltStates(steps, axis.ticks)
  const begun = ({ joint }: { joint: DriveJoint }) => states[joint] === 'loose' || states[joint] === 'nipped'
  return [
    ...JOINTS_OF_DRIVE.map(joint => ({ joint }))
      .filter(begun)
      .map(({ joint }) => `${JOINT_WORDS[joint].toLowerCase()}: ${states[joint]}`),
    ...aidsIn(steps, axis).map(aid => `still in: ${aidWords(aid)}`),
  ]
}
