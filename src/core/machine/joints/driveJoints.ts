import type { Axis } from '../../document/axis'
import { turnsNut } from '../../document/axis'
import { blankRow } from '../../field/field'
import { type BoltedJoint, type DriveJoint, JOINT_WORDS, JOINTS, JOINTS_OF_DRIVE } from './model'

/** A motor of a square frame has a screw in each corner of its face. */
const FACE_SCREWS = 4

type OfDrive = Pick<Axis, 'joints' | 'ends' | 'drive'>

/** Whether a drive has a joint at all: no far block on a free end, and no hub on a screw that stands. */
const has = ({ ends, drive }: OfDrive, joint: DriveJoint): boolean =>
  (joint !== 'farBlock' || ends !== 'fixed-free') && (joint !== 'screwHub' || !turnsNut(drive))

/**
 * The joints that the drive has and the list of screws does not: what the steps of the build will want a torque of.
 *
 * @example unlistedJoints(newAxis({ name: 'X', title: 'Table' })).length // 6
 */
export const unlistedJoints = (axis: OfDrive): DriveJoint[] =>
  JOINTS_OF_DRIVE.filter(joint => has(axis, joint) && !axis.joints.some(({ holds }) => holds === joint))

/**
 * A row of the list for a joint of the drive, to be measured: nothing is filled in that only the part itself can tell.
 *
 * @param newId makes the id of the row
 */
export const rowOfJoint = (joint: DriveJoint, newId: () => string): BoltedJoint =>
  blankRow(JOINTS, newId(), {
    label: JOINT_WORDS[joint],
    holds: joint,
    ...(joint === 'motorFace' && { count: FACE_SCREWS }),
  })
