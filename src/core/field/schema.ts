import { array, boolean, lazy, mixed, number, type ObjectShape, object, type Schema, string } from 'yup'
import { shortPath } from './bounds'
import { isDay, isMoment } from './dates'
import type { Field, Fields, NumberField } from './field'
import { isWithin } from './isWithin'
import { namesOf } from './names'
import { LAST_MINUTE, listTaken, takes as takesOf } from './takes'

// Schemas out of descriptions; each message says which field is wrong, what was got and what is taken.

/** A message that says which field, what was got and what is accepted. */
export const gotAndTakes =
  (takes: string) =>
  ({ path, value }: { path: string; value?: unknown }) =>
    `${shortPath(path)}: got ${gotWords(value)}, takes ${takes}`

/** Brackets within brackets that a message still shows. */
const DEEPEST_SHOWN = 3
const isDeep = (value: unknown, levels = DEEPEST_SHOWN): boolean =>
  typeof value === 'object' &&
  value !== null &&
  (levels === 0 || Object.values(value).some(inside => isDeep(inside, levels - 1)))

/** What was got, as it stands; of what goes on within itself only what it is. @example gotWords([1]) // '[1]' */
function gotWords(value: unknown): string {
  if (value === undefined) return 'nothing'
  if (isDeep(value))
    return Array.isArray(value) ? `a list of ${value.length} with lists in it` : 'an object with more in it'
  const got = JSON.stringify(value)
  return got.length > 60 ? `${got.slice(0, 57)}...` : got
}

export const shape = (fields: ObjectShape): Schema => {
  const takes = gotAndTakes(`an object with ${Object.keys(fields).join(', ')}`)
  return object(fields)
    .noUnknown(
      ({ path, unknown }) =>
        `${shortPath(path)}: got the unknown field ${unknown}, takes ${Object.keys(fields).join(', ')}`,
    )
    .strict()
    .default(undefined)
    .typeError(takes)
    .nonNullable(takes)
    .required(takes) as unknown as Schema
}
export const listOf = (item: Schema, most: number, least = 0) => {
  const takes = gotAndTakes(listTaken(most, least))
  return array(item).strict().typeError(takes).required(takes).min(least, takes).max(most, takes)
}
export const text = (most: number) => {
  const takes = gotAndTakes(`a text of 1 to ${most} characters`)
  return string().strict().typeError(takes).required(takes).max(most, takes)
}
const textOrNone = (most: number) => {
  const takes = gotAndTakes(`a text of at most ${most} characters, or null`)
  return string().strict().nullable().typeError(takes).defined(takes).max(most, takes)
}

function numberSchema(field: NumberField): Schema {
  const takes = gotAndTakes(takesOf(field))
  const ranged = number()
    .strict()
    .typeError(takes)
    .test({ test: value => isWithin(field, value), message: takes })
  if (field.orNone) return ranged.nullable().defined(takes)
  return field.default === undefined ? ranged.required(takes) : ranged.nonNullable(takes)
}

export const oneOf = (values: readonly (string | number)[]) => {
  const takes = gotAndTakes(`one of ${values.join(', ')}`)
  return mixed()
    .required(takes)
    .oneOf([...values], takes)
}
const flagSchema = (field: Field) => {
  const takes = gotAndTakes(takesOf(field))
  return boolean().strict().typeError(takes).required(takes)
}
const momentSchema = (field: Field) => {
  const takes = gotAndTakes(takesOf(field))
  return text(30).test('moment', takes, isMoment)
}
const daySchema = (field: Field) => {
  const takes = gotAndTakes(takesOf(field))
  return string().strict().typeError(takes).required(takes).test('day', takes, isDay)
}

const clockSchema = (field: Field) => {
  const takes = gotAndTakes(takesOf(field))
  return number()
    .strict()
    .typeError(takes)
    .required(takes)
    .integer(takes)
    .min(0, takes)
    .max(LAST_MINUTE, takes)
}
const orNull = (schema: Schema): Schema =>
  lazy(value => (value === null ? mixed().nullable() : schema)) as unknown as Schema

/** Names that fit the pattern, each with a value of the schema; any other name is an unknown field. */
export const mapOf = (of: (key: string) => Schema | null): Schema =>
  lazy((value: unknown) =>
    shape(
      Object.fromEntries(
        Object.keys(typeof value === 'object' && value ? value : {}).flatMap(key => {
          const schema = of(key)
          return schema ? [[key, schema]] : []
        }),
      ),
    ),
  ) as unknown as Schema

export const ROW_ID_LENGTH = 40

/**
 * The schema of a value that a field describes.
 *
 * @example schemaOf(length('Grip', [0, 500])).isValidSync(12) // true
 */
export function schemaOf(field: Field): Schema {
  switch (field.is) {
    case 'number':
      return numberSchema(field)
    case 'choice':
      return field.orNone ? orNull(oneOf(field.of)) : oneOf(field.of)
    case 'words':
      return field.orNone ? textOrNone(field.most) : text(field.most)
    case 'flag':
      return flagSchema(field)
    case 'moment':
      return field.orNone ? orNull(momentSchema(field)) : momentSchema(field)
    case 'day':
      return field.orNone ? orNull(daySchema(field)) : daySchema(field)
    case 'clock':
      return clockSchema(field)
    case 'curve':
      return mixed().nullable()
    case 'numbers':
      return listOf(numberSchema(field.of), field.most)
    case 'list':
      return listOf(schemaOf(field.of), Number.POSITIVE_INFINITY, field.least)
    case 'rows':
      return listOf(shape({ id: text(ROW_ID_LENGTH), ...schemasOf(field.of) }), field.most, field.least).test(
        'ids',
        function (value) {
          const ids = (value ?? []).map(row => (row as { id?: unknown }).id)
          const twice = ids.find((id, index) => ids.indexOf(id) < index)
          return (
            twice === undefined || this.createError({ message: `${this.path}: got the id ${twice} twice` })
          )
        },
      )
    case 'record':
      return shape(schemasOf(field.of))
    case 'maybe':
      return orNull(schemaOf(field.of))
    case 'map': {
      const isTaken = namesOf(field)
      return mapOf(key => (isTaken(key) ? schemaOf(field.of) : null))
    }
  }
}

/** The schemas of a set of fields, by name. */
export const schemasOf = (fields: Fields): ObjectShape =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, schemaOf(field)]))
