import type { Axis } from '../../document/axis'
import type { DrivePart } from '../../drawing/driveLine'
import type { Lays } from '../sheet'
import { boltStates } from './holds'
import { procedure } from './procedure'
import type { DriveJoint } from './step'

const JOINT_PART: Record<DriveJoint, DrivePart> = {
  nut: 'nut',
  fixedBlock: 'bearing',
  farBlock: 'far',
  screwHub: 'coupler',
  motorFace: 'motor',
  motorHub: 'coupler',
}
/** The hubs of a belt drive are its pulleys. */
const hubPart = (axis: Axis, part: DrivePart): DrivePart =>
  part === 'coupler' && axis.drive.transmission === 'belt' ? 'belt' : part

/** How far each joint of the drive is done up, beside its part. */
export const boltMarks: Lays = context => {
  const { axis } = context
  const all = procedure(context)
  if (!all) return {}
  const states = boltStates(all, axis.ticks)
  const joints: DriveJoint[] = ['motorFace', 'motorHub', 'fixedBlock', 'nut']
  if (axis.ends !== 'fixed-free') joints.push('farBlock')
  return {
    marks: joints.map(joint => ({
      part: hubPart(axis, JOINT_PART[joint]),
      text: `screws ${states[joint]}`,
    })),
  }
}
