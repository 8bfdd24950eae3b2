import { numberMarks } from './marks'
import { currencyNow, moneySign } from './money'
import { type QuantityKind, quantityFacts, type Unit, type UnitSystem } from './quantity'

/** A figure and its unit apart, so that the unit can be set in a quieter tone. */
export interface Printed {
  figure: string
  unit: string
}

const WHOLE_FROM_UM = 10
const isTenth = (value: number) => Math.abs(10 * value - Math.round(10 * value)) < 1e-6

/**
 * The decimals a value is worth. No hand sets ten micrometres finer than to whole ones; what was typed to a tenth stays as
 * it was typed. So the same figure reads the same wherever it stands, in a field too.
 */
function decimalsOf(value: number, kind: QuantityKind, system: UnitSystem): number {
  const isWhole =
    kind === 'smallLength' && system === 'mm' && Math.abs(value) >= WHOLE_FROM_UM && !isTenth(value)
  return isWhole ? 0 : quantityFacts(kind)[system].decimals
}

/**
 * Prints a stored value in a system of units, without trailing zeros.
 *
 * @param value in the quantity's base unit
 * @param decimals digits after the point in metric units, by default as fine as the quantity is worth; a
 *   length in inches gets two more
 * @example printQuantity(12.7, 'length', 'inch') // { figure: '0.5', unit: 'in' }
 */
export function printQuantity(
  value: number,
  kind: QuantityKind,
  system: UnitSystem,
  decimals?: number,
): Printed {
  const { unit, perUnit } = quantityFacts(kind)[system]
  const finer = kind === 'length' && system === 'inch' ? 2 : 0
  return {
    figure: figure(
      value / perUnit,
      decimals === undefined ? decimalsOf(value, kind, system) : decimals + finer,
    ),
    unit,
  }
}

/** Prints figure and unit in one go, thousands set apart: `12,700 mm`. */
export function say(value: number, kind: QuantityKind, system: UnitSystem, decimals?: number): string {
  const { figure, unit } = printQuantity(value, kind, system, decimals)
  const spaced = unit === '' || unit === '°' || unit === '%' ? unit : ` ${unit}`
  return (figure.length < 4 ? figure : grouped(figure)) + spaced
}

/**
 * A size that is sold in round millimetres, such as the bore of a bearing: in an inch job both are said, for the part is
 * still called by its millimetres.
 *
 * @example saySold(15, 'inch') // '15 mm (0.5906 in)'
 */
export const saySold = (mm: number, system: UnitSystem): string =>
  system === 'inch' && Math.abs(mm * 2 - Math.round(mm * 2)) < 1e-6
    ? `${say(mm, 'length', 'mm')} (${say(mm, 'length', 'inch')})`
    : say(mm, 'length', system)

/** Sets thousands apart: `12,700.5`. */
function grouped(figure: string): string {
  const { decimal, group } = numberMarks()
  const point = figure.indexOf(decimal)
  const whole = point < 0 ? figure : figure.slice(0, point)
  return whole.replace(/\B(?=(\d{3})+(?!\d))/g, group) + (point < 0 ? '' : figure.slice(point))
}

/**
 * What a field shows for a stored value, rounded to what the quantity is worth; the stored value stays as it is.
 *
 * @param typedIn the unit of the field, where it is another than that of the system
 * @example printField(9.525, 'length', 'inch') // '0.375'
 */
export function printField(value: number, kind: QuantityKind, system: UnitSystem, typedIn?: Unit): string {
  if (typedIn) return figure(value / typedIn.perUnit, typedIn.decimals)
  return figure(value / quantityFacts(kind)[system].perUnit, decimalsOf(value, kind, system))
}

/**
 * A plain figure for a working: enough digits to follow the sum, no more.
 *
 * @example printNumber(11818.635436) // '11,818.6'
 */
export function printNumber(value: number): string {
  const size = Math.abs(value)
  if (size !== 0 && (size < 1e-3 || size >= 1e7))
    return value.toExponential(3).replace('.', numberMarks().decimal).replace('e', ' × 10^').replace('+', '')
  const decimals = size >= 1000 ? 1 : size >= 10 ? 2 : 4
  return say(value, 'ratio', 'mm', decimals)
}

function figure(value: number, decimals: number): string {
  const text = value.toFixed(decimals)
  if (decimals === 0) return text === '-0' ? '0' : text
  let end = text.length
  while (text.charCodeAt(end - 1) === ZERO) end--
  if (text.charCodeAt(end - 1) === POINT) end--
  const short = text.slice(0, end)
  if (short === '-0') return '0'
  const { decimal } = numberMarks()
  return decimal === '.' ? short : short.replace('.', decimal)
}
const ZERO = 48
const POINT = 46

/**
 * A plain figure as it is, with as many decimals as are asked for, thousands set apart.
 *
 * @example printFixed(1234.5, 2) // '1,234.50'
 */
export const printFixed = (value: number, decimals: number): string =>
  grouped(value.toFixed(decimals).replace('.', numberMarks().decimal))

/**
 * A price in the money in use, thousands set apart.
 *
 * @param eur in euro
 * @param decimals none by default: a price to compare is no finer
 * @example money(1234.5, 2) // '€1,234.50'
 */
export function money(eur: number, decimals = 0): string {
  const sign = moneySign()
  const figure = printFixed(Math.abs(eur * currencyNow().perEuro), decimals)
  return `${eur < 0 ? '−' : ''}${sign}${sign.length > 1 ? '\u00a0' : ''}${figure}`
}

/**
 * A plain figure for the scale of a chart: so many digits, no more.
 *
 * @example printDigits(0.123456, 3) // '0.123'
 */
export const printDigits = (value: number, digits: number): string =>
  grouped(String(Number(value.toPrecision(digits))).replace('.', numberMarks().decimal))
