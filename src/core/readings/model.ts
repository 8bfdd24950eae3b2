import { length, smallLength } from '../field/field'

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
/** A place along the screw or the travel. */
export const place = (label: string) => length(label, [-1000, 20_000])

/** Places spread evenly over the travel, rounded to whole millimetres. */
export const spreadMm = (fromMm: number, toMm: number, count: number): number[] =>
  Array.from({ length: count }, (_, index) =>
    Math.round(fromMm + ((toMm - fromMm) * index) / Math.max(1, count - 1)),
  )
