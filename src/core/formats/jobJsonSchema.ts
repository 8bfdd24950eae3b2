import { AXIS_FIELDS, OWN_LIMITS } from '../document/axis'
import { MOST_LINES } from '../document/edit'
import { LOG_ENTRY } from '../document/job'
import { PART_KINDS } from '../document/kinds'
import { fieldsOf } from '../document/parts/fields'
import { SCHEMA_VERSION } from '../document/version.generated'
import {
  type JsonSchema,
  jsonList,
  jsonObject,
  jsonSchemaOf,
  jsonSchemasOf,
  jsonText,
} from '../field/jsonSchema'
import { MOST_OWN_PARTS } from '../machine/parts'
import { SHEETS } from '../sheets'
import { CHANGE, JOB_FIELDS, MOST_AXES, MOST_PATCHES } from '../sheets/schema'
import { MOST_ROWS } from './jobFileError'

const axis = jsonObject({
  id: jsonText(40),
  name: jsonText(12),
  title: jsonText(80),
  ...jsonSchemasOf(AXIS_FIELDS),
  ...Object.assign({}, ...SHEETS.map(({ fields = {} }) => jsonSchemasOf(fields))),
  limits: { type: 'object', additionalProperties: jsonSchemaOf(OWN_LIMITS) },
})

const ownParts = jsonObject(
  Object.fromEntries(
    PART_KINDS.map(kind => [
      kind,
      jsonList(
        jsonObject({ id: jsonText(40), ...jsonSchemasOf(Object.fromEntries(fieldsOf(kind))) }),
        MOST_OWN_PARTS,
      ),
    ]),
  ),
)

const patch: JsonSchema = {
  type: 'object',
  properties: { path: { type: 'array', items: { type: 'string' }, maxItems: 12 } },
  required: ['path'],
}
const lines = jsonList(jsonText(41), MOST_LINES)

const job = jsonObject({
  schemaVersion: { const: SCHEMA_VERSION },
  ...jsonSchemasOf(JOB_FIELDS),
  ownParts,
  axes: jsonList(axis, MOST_AXES, 1),
})
const file = jsonObject({
  format: { const: 'dusk-bench-job' },
  job,
  entries: jsonList(jsonSchemaOf(LOG_ENTRY), MOST_ROWS),
  history: jsonList(
    jsonObject({
      ...jsonSchemasOf(CHANGE),
      patches: jsonList(patch, MOST_PATCHES),
      shows: lines,
      hides: lines,
    }),
    MOST_ROWS,
  ),
})

/**
 * The JSON Schema of a job file of the present version, out of the same fields that forms and readers have: a program that holds
 * to it writes what the app takes, as far as a schema can say that. That ids stand once, and that figures suit each other, it
 * cannot say.
 */
export const jobFileSchema: JsonSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: `urn:dusk-bench:job-file:${SCHEMA_VERSION}`,
  title: 'Job file of Dusk Bench',
  ...file,
}
