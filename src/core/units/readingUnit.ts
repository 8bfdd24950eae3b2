import { printField } from './print'
import { MM_PER_INCH, type Unit, type UnitSystem } from './quantity'

/** The units in which readings of a gauge are typed. */
export const READING_UNITS = ['um', 'mm', 'thou', 'in'] as const
export type ReadingUnit = (typeof READING_UNITS)[number]

const UM_PER_INCH = MM_PER_INCH * 1000

const FACTS: Record<ReadingUnit, Unit> = {
  um: { unit: 'µm', perUnit: 1, decimals: 1 },
  mm: { unit: 'mm', perUnit: 1000, decimals: 4 },
  thou: { unit: 'thou', perUnit: UM_PER_INCH / 1000, decimals: 2 },
  in: { unit: 'in', perUnit: UM_PER_INCH, decimals: 5 },
}

/** A unit of readings with its name and what it is worth, in um. */
export const readingUnit = (unit: ReadingUnit): Unit => FACTS[unit]

/**
 * The unit that readings are typed in while the builder has named none.
 *
 * @example usualReadingUnit('inch') // 'thou'
 */
export const usualReadingUnit = (units: UnitSystem): ReadingUnit => (units === 'inch' ? 'thou' : 'um')

/** A reading that is copied out or asked about keeps what was typed, to the hundred-thousandth of its unit. */
const KEPT_DECIMALS = 5

/**
 * A reading in a unit, with all that was typed of it.
 *
 * @example printReading(0.0254, 'thou') // '0.001'
 */
export const printReading = (um: number, unit: ReadingUnit): string =>
  printField(um, 'smallLength', 'mm', { ...FACTS[unit], decimals: KEPT_DECIMALS })
