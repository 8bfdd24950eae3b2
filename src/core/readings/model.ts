import { choiceOrNone, length, smallLength } from '../field/field'

// What an indicator can say and where it can stand: the same for every sheet that takes readings.

const READING_RANGE = [-100_000, 100_000] as const
/** One reading of an indicator. */
export const READING = smallLength('Reading', READING_RANGE, { symbol: 'x' })
/** A reading that may not have been taken. */
export const readingOrNone = (label: string) => smallLength(label, READING_RANGE, { orNone: true })
/** The smallest step of the gauge that readings were taken with; none until it is entered. */
export const GAUGE_STEP = smallLength('Step of the gauge', [0.01, 1000], {
  orNone: true,
  help: 'What one mark of the dial is, or the last figure of a display.',
})
/** Which way a gauge stands to the slide: the sign of what it reads hangs on it. */
export const GAUGE_MORE = choiceOrNone('The gauge reads more as the slide goes', ['up', 'down'], {
  up: 'up, the way its places grow',
  down: 'down',
})
/** What a dial shows as its tip is pushed in: one that shows less has every sign the other way. */
export const TIP_LIFTED = choiceOrNone('Tip pushed in by a finger, the dial reads', ['more', 'less'], {
  more: 'more',
  less: 'less: its signs are turned over',
})
/** A place along the screw or the travel. */
export const place = (label: string) => length(label, [-1000, 20_000])

/** Places spread evenly over the travel, rounded to whole millimetres. */
export const spreadMm = (fromMm: number, toMm: number, count: number): number[] =>
  Array.from({ length: count }, (_, index) =>
    Math.round(fromMm + ((toMm - fromMm) * index) / Math.max(1, count - 1)),
  )
