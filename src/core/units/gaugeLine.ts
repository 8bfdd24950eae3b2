import { quantityFacts } from './quantity'
import { type ReadingUnit, readingUnit } from './readingUnit'

/** A sign, a figure with a point or a comma, and the unit. */
const LINE = /^([+-]?)\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*([a-zµ"]*)$/i

/**
 * What a line from a gauge says: one number, with or without its sign and unit, as gauges with a cable send it. Its point is
 * always that of the decimals: no gauge groups its figures.
 *
 * @param typedIn the unit of numbers without one
 * @returns the reading in µm, or null where the line is none: empty, or noise of the cable
 * @example gaugeLineUm('+0.012 mm', 'um') // 12
 * @example gaugeLineUm('-3', 'thou') // -76.2
 */
export function gaugeLineUm(line: string, typedIn: ReadingUnit): number | null {
  const [, sign, figure = '', unit = ''] = LINE.exec(line.trim()) ?? []
  if (figure === '') return null
  const name = unit.toLowerCase().replace('µ', 'u')
  const perUnit = name === '' ? readingUnit(typedIn).perUnit : quantityFacts('smallLength').accepts[name]
  if (perUnit === undefined) return null
  return (sign === '-' ? -1 : 1) * Number(figure.replace(',', '.')) * perUnit
}
