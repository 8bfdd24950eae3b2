import type { Axis } from '../document/axis'

/** Which way is up, beside a drive line. */
export interface Upward {
  /** From the right of the drawing, anticlockwise: 90 is up the screen, 0 towards the far end. None while nobody knows. */
  angleDeg: number | null
  words: string
}

/**
 * Which way is up beside the drive line, which is drawn with its screw level and its motor at the left.
 *
 * @returns null for a level axis, and while nobody knows how it stands
 * @example upward({ ...upright, higherEnd: 'fixed' })?.angleDeg // 180
 */
export function upward(axis: Pick<Axis, 'dimensions' | 'higherEnd'>): Upward | null {
  const { value: inclineDeg } = axis.dimensions.inclineDeg
  if (inclineDeg === null || inclineDeg === 0) return null
  const stands = inclineDeg === 90 ? 'stands upright' : `leans by ${inclineDeg}°`
  if (axis.higherEnd === null)
    return { angleDeg: null, words: `The axis ${stands}; which end is higher is asked under Survey.` }
  return {
    angleDeg: axis.higherEnd === 'far' ? 90 - inclineDeg : 90 + inclineDeg,
    words: `Up: the axis ${stands}, the ${axis.higherEnd === 'far' ? 'far end' : 'motor'} higher.`,
  }
}
