import { blankRecord, choiceOrNone, plain, speed, wordsOrNone } from '../../../field/field'
import { TAKEN } from '../../../readings/taken'
import { say } from '../../../units/print'
import type { UnitSystem } from '../../../units/quantity'

/** What goes with every test: without it, a figure cannot be taken again. */
export const CONDITIONS = {
  temperatureC: plain('Temperature of the shop', [-20, 60], { orNone: true, unit: '°C' }),
  gauge: wordsOrNone('Gauge that was used', 80),
  who: wordsOrNone('Read by', 40),
}
/** How the machine came to the place: what a slow test is told from a fast one by, and a cold from a warm. */
export const MANNER = {
  feedMmPerMin: speed('Came to it at', [0.1, 200_000], { orNone: true }),
  warmth: choiceOrNone('The machine was', ['cold', 'warm']),
}

/** A test of which nobody noted how it was taken. */
export const NOTHING_NOTED = blankRecord({ ...CONDITIONS, ...MANNER, taken: TAKEN })

interface Conditions {
  temperatureC: number | null
  gauge: string | null
  who: string | null
  feedMmPerMin?: number | null
  warmth?: string | null
  conditions?: string | null
}

/**
 * The conditions of a test in one line; what nobody noted is left out.
 *
 * @example conditionsWords({ temperatureC: 17, gauge: null, who: 'T. Moor', feedMmPerMin: 1000 }, 'mm')
 *   // '17 °C; came at 1,000 mm/min; read by T. Moor'
 */
export const conditionsWords = (of: Conditions, units: UnitSystem): string =>
  [
    of.temperatureC === null ? null : `${say(of.temperatureC, 'ratio', units, 1)} °C`,
    of.warmth ? `machine ${of.warmth}` : null,
    of.feedMmPerMin == null ? null : `came at ${say(of.feedMmPerMin, 'speed', units)}`,
    of.gauge,
    of.who && `read by ${of.who}`,
    of.conditions,
  ]
    .filter(Boolean)
    .join('; ')
