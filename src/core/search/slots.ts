import type { Axis } from '../document/axis'
import type { DriveChoice } from './levels'

/** What of a drive can be changed by itself. */
export const SLOTS = ['screw', 'ends', 'bearing', 'link', 'motor'] as const
export type DriveSlot = (typeof SLOTS)[number]

function isChanged(axis: Axis, point: DriveChoice, slot: DriveSlot): boolean {
  switch (slot) {
    case 'ends':
      return axis.ends !== point.ends
    case 'link':
      return (
        axis.drive.transmission !== point.transmission ||
        (point.belt === null ? axis.parts.coupler !== point.coupler : axis.parts.belt !== point.belt)
      )
    default:
      return axis.parts[slot] !== point[slot]
  }
}

/** What of the drive of an axis another drive changes: nothing where it is the very same. */
export const changedSlots = (axis: Axis, drive: DriveChoice): DriveSlot[] =>
  SLOTS.filter(slot => isChanged(axis, drive, slot))
