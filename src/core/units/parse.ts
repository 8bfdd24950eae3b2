import { readFigure } from './marks'
import { type QuantityKind, quantityFacts, type Unit, type UnitSystem } from './quantity'

/** A value in base units, or a sentence that says what is wrong and what is accepted. */
export type Parsed = { ok: true; value: number } | { ok: false; message: string }

/** Sign, then a mixed number, a fraction or a figure, then the unit. */
const NUMBER =
  /^([+-]?)\s*(?:(\d+)[\s-]+(\d+)\/(\d+)|(\d+)\/(\d+)|([\d.,](?:[\d.,]|['’\s](?=\d))*(?:e[+-]?\d{1,3}(?!\w))?))\s*([^\d./,].*)?$/i

/**
 * Reads what people type for a quantity: decimals, fractions, mixed numbers, with or without a unit.
 *
 * @param text what was typed, such as `12.7`, `12,7`, `1 234.5`, `1e3`, `1/2 in`, `2-3/8"`, `0.002"`, `2 thou`, `50 um`
 * @param kind the quantity that the field takes
 * @param system the units that a bare number is in
 * @param typedIn the unit that a bare number is in, where it is another than that of the system
 * @returns the value in the quantity's base unit, or why it cannot be read
 * @example parseQuantity('1/2 in', 'length', 'mm') // { ok: true, value: 12.7 }
 */
export function parseQuantity(text: string, kind: QuantityKind, system: UnitSystem, typedIn?: Unit): Parsed {
  const facts = quantityFacts(kind)
  const home = typedIn ?? facts[system]
  const refuse = (why: string): Parsed => ({ ok: false, message: `Got “${text.trim()}”. ${why}` })
  const tidy = text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/[”“]|''/g, '"')
    .replace(/[µμ]/g, 'u')
    .replace(/²/g, '2')
  if (tidy === '') return { ok: false, message: `Type a number in ${home.unit || 'plain figures'}.` }
  const match = NUMBER.exec(tidy)
  const takes = `Takes a number or a fraction, in ${accepted(kind) || 'plain figures'}.`
  if (!match) return refuse(takes)
  const [, sign, whole, top, bottom, numerator, denominator, decimal, unitText = ''] = match
  const over = bottom ?? denominator
  if (over !== undefined && Number(over) === 0) return refuse('A fraction cannot have 0 below the line.')
  const figure = decimal === undefined ? undefined : readFigure(decimal, home.decimals)
  if (figure === null) return refuse(takes)
  if (figure === ',')
    return refuse('A comma before three digits can be read two ways: type it with a point, or without.')
  if (figure === '.')
    return refuse('A point before three digits can be read two ways: type it with a comma, or without.')
  const size =
    figure !== undefined
      ? figure
      : Number(whole ?? 0) + Number(top ?? numerator) / Number(bottom ?? denominator)
  const name = unitText.trim().toLowerCase().replace(/\s+/g, ' ')
  const perUnit = name === '' ? home.perUnit : facts.accepts[name]
  if (perUnit === undefined)
    return refuse(`The unit “${unitText.trim()}” is not known here: takes ${accepted(kind)}.`)
  const value = (sign === '-' ? -size : size) * perUnit
  return Number.isFinite(value) ? { ok: true, value } : refuse('The number is too large.')
}

function accepted(kind: QuantityKind): string {
  return Object.keys(quantityFacts(kind).accepts).slice(0, 8).join(', ')
}
