import type { Axis } from '../document/axis'

const NAMED =
  /\b(cross slide|top slide|table|saddle|quill head|quill|head|knee|carriage|gantry|spindle|ram|turret|tailstock|beam)\b/i

/**
 * What the axis moves, as its builder calls it; a slide where the title does not say.
 *
 * @example movingPart({ title: 'Gantry, long way' }) // 'gantry'
 */
export const movingPart = ({ title }: Pick<Axis, 'title'>): string =>
  NAMED.exec(title)?.[0].toLowerCase() ?? 'slide'

/**
 * A text that speaks of the slide, in the word of an axis.
 *
 * @example inItsWord('Push the slide by hand.', { title: 'Table' }) // 'Push the table by hand.'
 */
export const inItsWord = (text: string, axis: Pick<Axis, 'title'>): string =>
  text.replace(/\bthe slide\b/g, `the ${movingPart(axis)}`)
