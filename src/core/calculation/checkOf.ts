import type { Field, Fields } from '../field/field'
import { fits } from '../field/fits'
import { isWithin } from '../field/isWithin'
import { namesOf } from '../field/names'
import { takes } from '../field/takes'
import { InputError } from './inputError'

/** Throws where a value is not taken; the error names the place within the value, nothing for the value itself. */
type Check = (value: unknown) => void

/**
 * What checks every value of a set against its field; it is made once, so that it costs little at every call.
 *
 * @returns a check that throws InputError naming the input with its place, what was got and what is accepted
 * @example checkOf({ leadMm: length('lead', { over: 0 }) })({ leadMm: 0 }) // leadMm: got 0, takes a number over 0 mm
 */
export function checkOf(fields: Fields): (values: Record<string, unknown>) => void {
  const names = Object.keys(fields)
  const checks = Object.values(fields).map(checkOfOne)
  return values => {
    let index = 0
    try {
      for (; index < names.length; index++) (checks[index] as Check)(values[names[index] as string])
    } catch (error) {
      throw within(names[index] as string, error)
    }
  }
}

/** The place is put together only when there is something to say. */
const within = (place: string, error: unknown) =>
  error instanceof InputError ? new InputError(place + error.input, error.got, error.takes) : error

function checkOfOne(field: Field): Check {
  const refuse = (value: unknown): never => {
    throw new InputError('', value, takes(field))
  }
  if (field.is === 'number') {
    // Nearly every figure is well within its range: that is seen first, and costs next to nothing.
    const { min, max } = field
    const isPlain = !field.whole && !field.oneOf
    return value => {
      if (isPlain && typeof value === 'number' && value > min && value < max) return
      if (!isWithin(field, value)) refuse(value)
    }
  }
  if (field.is === 'record') {
    const inside = checkOf(field.of)
    return value => {
      if (typeof value !== 'object' || value === null || Array.isArray(value)) return refuse(value)
      try {
        inside(value as Record<string, unknown>)
      } catch (error) {
        throw within('.', error)
      }
    }
  }
  if (field.is === 'map') {
    const inside = checkOfOne(field.of)
    const isTaken = namesOf(field)
    return value => {
      if (typeof value !== 'object' || value === null || Array.isArray(value)) return refuse(value)
      for (const [key, one] of Object.entries(value)) {
        if (!isTaken(key)) refuse(value)
        try {
          inside(one)
        } catch (error) {
          throw within(`.${key}`, error)
        }
      }
    }
  }
  if (field.is === 'list') {
    const inside = checkOfOne(field.of)
    return value => {
      if (!Array.isArray(value) || value.length < field.least) return refuse(value)
      let index = 0
      try {
        for (; index < value.length; index++) inside(value[index])
      } catch (error) {
        throw within(`[${index}]`, error)
      }
    }
  }
  return value => {
    if (!fits(field, value)) refuse(value)
  }
}
