import { READING_UNITS, type ReadingUnit, readingUnit } from '../units/readingUnit'
import { finerThanGauge, median } from './plausible'

/** A reading that is asked about, and what may have been meant. */
export interface AskedReading {
  why: 'finer' | 'apart'
  /** The same figure read in another unit, where that fits; null where there is none. */
  meantUm: number | null
  meantIn: ReadingUnit | null
}

/** So many readings beside it say what is usual. */
const FEWEST_BESIDE = 2
/** What may have been meant is at least so much of a step: it could be read off the dial. */
const READABLE_SHARE = 0.5
/** A reading this many times the spread of its neighbours away from them, and this many steps, is asked about. */
const APART_SPREADS = 8
const APART_STEPS = 20

/**
 * Whether a reading is asked about: finer than its gauge can show, or far off those beside it. Mostly it was typed in
 * another unit than the table's: the unit that brings it nearest to the others, or to what the gauge can show, is offered.
 *
 * @param besideUm readings of the same place from the same side, without this one
 * @returns null for a reading that is as good as any
 * @example askReading(0.0254, 12.7, 'thou', [])?.meantUm // 25.4: 0.001 thou was 0.001 in
 */
export function askReading(
  valueUm: number,
  stepUm: number,
  typedIn: ReadingUnit,
  besideUm: readonly number[],
): AskedReading | null {
  const finer = finerThanGauge(valueUm, stepUm)
  const middle = besideUm.length >= FEWEST_BESIDE ? median(besideUm) : null
  const spread =
    middle === null ? 0 : Math.max(...besideUm.map(one => Math.abs(one - middle)), stepUm / APART_SPREADS)
  const farUm = Math.max(APART_SPREADS * spread, APART_STEPS * stepUm)
  const apart = middle !== null && Math.abs(valueUm - middle) > farUm
  if (!finer && !apart) return null
  const figure = valueUm / readingUnit(typedIn).perUnit
  const others = READING_UNITS.filter(unit => unit !== typedIn)
    .map(unit => ({ unit, um: figure * readingUnit(unit).perUnit }))
    .filter(
      ({ um }) =>
        Math.abs(um) >= READABLE_SHARE * stepUm && (middle === null || Math.abs(um - middle) <= farUm),
    )
  // Of a figure that is too fine for the gauge alone, the least that it can show: a slip is seldom a large one.
  const offUm = (um: number) => (middle === null ? Math.abs(um) : Math.abs(um - middle))
  const [meant] = others.toSorted((a, b) => offUm(a.um) - offUm(b.um))
  return { why: finer ? 'finer' : 'apart', meantUm: meant?.um ?? null, meantIn: meant?.unit ?? null }
}
