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

/** No gauge sends a longer line. */
const LONGEST_LINE = 64

/**
 * Cuts what comes over a cable into lines, however it is parted on its way. What goes on without an end of line is noise: it
 * is given once, cut at the length of a line, and the rest of it is dropped.
 *
 * @returns takes what came, and gives the lines that ended with it
 * @example lineCutter()('+0.012 mm\r\n-0.0') // ['+0.012 mm']
 */
export function lineCutter(): (came: string) => string[] {
  let rest = ''
  let isDropped = false
  return came => {
    const parts = (rest + came).split(/\r\n|\r|\n/)
    rest = parts.pop() ?? ''
    const lines = isDropped && parts.length > 0 ? parts.slice(1) : parts
    if (parts.length > 0) isDropped = false
    const out = lines.map(line => line.slice(0, LONGEST_LINE))
    if (rest.length > LONGEST_LINE) {
      if (!isDropped) out.push(rest.slice(0, LONGEST_LINE))
      isDropped = true
    }
    if (isDropped) rest = ''
    return out
  }
}
