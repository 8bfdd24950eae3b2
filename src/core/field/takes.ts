import { baseUnitOf } from '../units/quantity'
import type { Field, NumberField } from './field'

/**
 * The unit that a field's value is stored and reckoned in, in plain letters; 1 for a plain number.
 *
 * @example unitOf(smallLength('Reading', [-9000, 9000])) // 'um'
 */
export const unitOf = ({ unit, quantity }: NumberField): string => unit ?? baseUnitOf(quantity)

/**
 * Says in words what a field accepts.
 *
 * @example takes(length('lead', { over: 0 })) // 'a number over 0 mm'
 */
export function takes(field: Field): string {
  switch (field.is) {
    case 'number':
      return numberTaken(field) + (field.orNone ? ', or null' : '')
    case 'choice':
      return `one of ${field.of.join(', ')}`
    case 'words':
      return field.orNone
        ? `a text of at most ${field.most} characters, or null`
        : `a text of 1 to ${field.most} characters`
    case 'flag':
      return 'true or false'
    case 'moment':
      return 'a date and time such as 2026-11-02T18:30:00.000Z'
    case 'day':
      return 'a day such as 2026-11-26'
    case 'clock':
      return `whole minutes since midnight, from 0 to ${LAST_MINUTE}`
    case 'curve':
      return 'points of speed and torque'
    case 'list':
      return listTaken(Number.POSITIVE_INFINITY, field.least)
    case 'numbers':
      return listTaken(field.most)
    case 'rows':
      return listTaken(field.most, field.least)
    case 'record':
      return `an object with ${Object.keys(field.of).join(', ')}`
    case 'maybe':
      return `${takes(field.of)}, or null`
    case 'map':
      return 'an object by names'
  }
}

/** Midnight at the end of the day is a time too. */
export const LAST_MINUTE = 24 * 60

/** Says how many a list takes. */
export function listTaken(most: number, least = 0): string {
  if (!Number.isFinite(most)) return `a list of at least ${least}`
  return least > 0 ? `a list of ${least} to ${most}` : `a list of at most ${most}`
}

function numberTaken(field: NumberField): string {
  const { min, max, over, below, whole, oneOf } = field
  const unit = unitOf(field)
  const after = unit === '1' ? '' : ` ${unit}`
  if (oneOf) return `one of ${oneOf.join(', ')}${after}`
  const low = over !== undefined ? ` over ${over}` : Number.isFinite(min) ? ` from ${min}` : ''
  const high = below !== undefined ? ` below ${below}` : Number.isFinite(max) ? ` to ${max}` : ''
  return `a ${whole ? 'whole ' : ''}number${low}${low || !high.startsWith(' to') ? high : ` up${high}`}${after}`
}
