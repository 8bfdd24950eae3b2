import type { NumberField } from './field'

/**
 * Whether a value is a number that a field takes, or none where there may be none.
 *
 * @example isWithin(length('Grip', [0, 500]), 501) // false
 */
export function isWithin(field: NumberField, value: unknown): boolean {
  if (typeof value !== 'number')
    return value === null ? field.orNone === true : value === undefined && field.default !== undefined
  return (
    value >= field.min &&
    value <= field.max &&
    value !== field.over &&
    value !== field.below &&
    Number.isFinite(value) &&
    !(field.whole && !Number.isInteger(value)) &&
    !(field.oneOf && !field.oneOf.includes(value))
  )
}
