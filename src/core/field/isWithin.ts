import type { NumberField } from './field'

/**
 * Whether a value is a number that a field takes, or none where there may be none.
 *
 * @example isWithin(length('Grip', [0, 500]), 501) // false
 */
export const isWithin = ({ min, max, whole, orNone }: NumberField, value: unknown): boolean =>
  value === null
    ? orNone === true
    : typeof value === 'number' && value >= min && value <= max && !(whole && !Number.isInteger(value))
