import type { Axis } from '../../document/axis'
import type { DrivePart } from '../../drawing/driveLine'
import { defineSheet } from '../sheet'
import { boltStates } from './holds'
import { TICKS } from './model'
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

/** The ordered steps that build the axis, and how far each joint is done up. */
export const steps = defineSheet({
  id: 'steps',
  stage: 'build',
  title: 'Steps of the build',
  fields: { ticks: TICKS },
  overlay(context) {
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
  },
})
