import type { Axis } from '../document/axis'
import { hasBelt } from '../document/axis'
import { PART_KINDS, type PartKind } from '../document/kinds'

/**
 * The kinds of part that a drive of this kind is made of: a coupler, or a belt in its place.
 *
 * @example neededParts({ ...axis, drive: { ...axis.drive, transmission: 'belt' } }) // ['screw', 'bearing', 'belt', 'motor']
 */
export const neededParts = (axis: Pick<Axis, 'drive'>): PartKind[] => {
  const without = hasBelt(axis.drive) ? 'coupler' : 'belt'
  return PART_KINDS.filter(kind => kind !== without && kind !== 'brake')
}

/**
 * The kinds of part that are offered for an axis: those it needs, and a brake where its load can fall.
 *
 * @example offeredParts(vertical) // ['screw', 'bearing', 'coupler', 'motor', 'brake']
 */
export const offeredParts = (axis: Pick<Axis, 'drive' | 'dimensions' | 'parts'>): PartKind[] =>
  axis.dimensions.inclineDeg.value !== 0 || axis.parts.brake !== null
    ? [...neededParts(axis), 'brake']
    : neededParts(axis)
