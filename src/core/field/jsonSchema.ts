import type { Field, Fields } from './field'
import { LAST_MINUTE, takes } from './takes'

// The same descriptions as a JSON Schema (draft 2020-12), for programs that are not this one.

/** A part of a JSON Schema. */
export type JsonSchema = { readonly [key: string]: unknown }

const orNull = (schema: JsonSchema, isSo: boolean | undefined): JsonSchema =>
  isSo ? { anyOf: [schema, { type: 'null' }] } : schema

/** An object with just these properties. */
export const jsonObject = (properties: Record<string, JsonSchema>): JsonSchema => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
  additionalProperties: false,
})
export const jsonList = (items: JsonSchema, most: number, least = 0): JsonSchema => ({
  type: 'array',
  items,
  ...(least > 0 && { minItems: least }),
  ...(Number.isFinite(most) && { maxItems: most }),
})
export const jsonText = (most: number): JsonSchema => ({ type: 'string', minLength: 1, maxLength: most })

/**
 * The schema of a value that a field describes.
 *
 * @example jsonSchemaOf(length('Grip', [0, 500])) // { title: 'Grip', description: 'a number from 0 to 500 mm', type: 'number', … }
 */
export function jsonSchemaOf(field: Field): JsonSchema {
  const { title, ...schema } = { title: field.label, ...plainSchema(field) }
  return { title, ...schema }
}

function plainSchema(field: Field): JsonSchema {
  switch (field.is) {
    case 'number': {
      const { min, max, over, below, whole, oneOf, orNone } = field
      const ends = {
        ...(over === min ? { exclusiveMinimum: over } : Number.isFinite(min) && { minimum: min }),
        ...(below === max ? { exclusiveMaximum: below } : Number.isFinite(max) && { maximum: max }),
      }
      const number = { type: whole ? 'integer' : 'number', ...(oneOf ? { enum: oneOf } : ends) }
      return { description: takes(field), ...orNull(number, orNone) }
    }
    case 'choice':
      return { enum: field.orNone ? [...field.of, null] : field.of }
    case 'words':
      return field.orNone ? { type: ['string', 'null'], maxLength: field.most } : jsonText(field.most)
    case 'flag':
      return { type: 'boolean' }
    case 'moment':
      return orNull({ type: 'string', format: 'date-time', maxLength: 30 }, field.orNone)
    case 'day':
      return orNull({ type: 'string', format: 'date' }, field.orNone)
    case 'clock':
      return { type: 'integer', minimum: 0, maximum: LAST_MINUTE, description: 'minutes since midnight' }
    case 'curve':
      return orNull(
        jsonList(jsonObject({ speedRpm: { type: 'number' }, torqueNm: { type: 'number' } }), 40),
        true,
      )
    case 'numbers':
      return jsonList(jsonSchemaOf(field.of), field.most)
    case 'list':
      return jsonList(jsonSchemaOf(field.of), Number.POSITIVE_INFINITY, field.least)
    case 'rows':
      return jsonList(jsonObject({ id: jsonText(40), ...jsonSchemasOf(field.of) }), field.most, field.least)
    case 'record':
      return jsonObject(jsonSchemasOf(field.of))
    case 'maybe':
      return orNull(jsonSchemaOf(field.of), true)
    case 'map':
      return {
        type: 'object',
        patternProperties: { [field.pattern]: jsonSchemaOf(field.of) },
        additionalProperties: false,
      }
  }
}

/** The schemas of a set of fields, by name. */
export const jsonSchemasOf = (fields: Fields): Record<string, JsonSchema> =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, jsonSchemaOf(field)]))
