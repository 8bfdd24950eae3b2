import type { Axis } from '../../document/axis'
import { hasBelt } from '../../document/axis'
import type { DrivePart } from '../../drawing/driveLine'
import type { DriveJoint } from '../../machine/joints/model'
import { type Aid, aidsIn, aidWords } from '../shared/steps/aids'
import { boltStates } from '../shared/steps/holds'
import { procedure } from '../shared/steps/procedure'
import type { DrawOverlay } from '../sheet'

const JOINT_PART: Record<DriveJoint, DrivePart> = {
  nut: 'nut',
  fixedBlock: 'bearing',
  farBlock: 'far',
  screwHub: 'coupler',
  motorFace: 'motor',
  motorHub: 'coupler',
}
const AID_PART: Record<Aid, DrivePart> = {
  block: 'way',
  hoist: 'way',
  props: 'way',
  dummyRail: 'way',
  ties: 'screw',
  tape: 'screw',
  shims: 'screw',
  clamp: 'nut',
  spacers: 'nut',
  counterweight: 'way',
}
/** The hubs of a belt drive are its pulleys. */
const hubPart = (axis: Axis, part: DrivePart): DrivePart =>
  part === 'coupler' && hasBelt(axis.drive) ? 'belt' : part

/** How far each joint of the drive is done up, beside its part, and what was put in to help and is still there. */
export const stepsOverlay: DrawOverlay = context => {
  const { axis } = context
  const all = procedure(context)
  if (!all) return {}
  const states = boltStates(all, axis.ticks)
  const joints: DriveJoint[] = ['motorFace', 'motorHub', 'fixedBlock', 'nut']
  if (axis.ends !== 'fixed-free') joints.push('farBlock')
  return {
    marks: [
      ...joints.map(joint => ({
        part: hubPart(axis, JOINT_PART[joint]),
        text: `screws ${states[joint]}`,
      })),
      ...aidsIn(all, axis).map(aid => ({
        part: AID_PART[aid.aid],
        text: `still in: ${aidWords(aid)}`,
        state: 'close' as const,
      })),
    ],
  }
}
