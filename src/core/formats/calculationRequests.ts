import { object, ValidationError } from 'yup'
import { InputError } from '../calculation/inputError'
import type { Fields } from '../field/field'
import { schemasOf } from '../field/schema'
import { registry } from '../sheets/registry'

/** The answer to one request, in the order of the requests. */
export type Answer =
  | { calculation: string; outputs: Record<string, unknown> }
  | { calculation: string; error: string }

/** Thrown when the requests as a whole are not what is taken. */
export class RequestError extends Error {
  override name = 'RequestError'
}
const TAKES = 'takes a JSON array of {"calculation": "screw.criticalSpeed", "inputs": {...}}'

/** A Yup schema for all inputs of a calculation; an unknown name is an error that lists the known ones. */
export const inputsSchema = (fields: Fields) =>
  object(schemasOf(fields))
    .strict()
    .noUnknown(({ unknown }) => `unknown input ${unknown}, takes ${Object.keys(fields).join(', ')}`)
    .default(undefined)

/**
 * Works out a list of requests, each on its own: one that cannot be done does not stop the others.
 *
 * @param text a JSON array of `{ calculation, inputs }`
 * @returns an answer a request, in the same order
 * @throws RequestError when the text is no such array
 */
export function runCalculations(text: string): Answer[] {
  let requests: unknown
  try {
    requests = JSON.parse(text)
  } catch {
    throw new RequestError(`got text that is not JSON, ${TAKES}`)
  }
  if (!Array.isArray(requests))
    throw new RequestError(`got ${requests === null ? 'null' : typeof requests}, ${TAKES}`)
  const bad = requests.findIndex(one => typeof one?.calculation !== 'string' || Array.isArray(one))
  if (bad >= 0) throw new RequestError(`got ${JSON.stringify(requests[bad])} at place ${bad}, ${TAKES}`)
  return requests.map(runOne)
}

function runOne({ calculation: id, inputs }: { calculation: string; inputs?: unknown }): Answer {
  const calculate = registry.get(id)
  if (!calculate)
    return { calculation: id, error: `unknown calculation ${id}: "dusk list" prints those that are known` }
  try {
    const takes = `an object with ${Object.keys(calculate.inputs).join(', ')}`
    if (typeof inputs !== 'object' || inputs === null || Array.isArray(inputs))
      throw new InputError('inputs', inputs, takes)
    const checked = inputsSchema(calculate.inputs).validateSync(inputs, { strict: true }) as Record<
      string,
      unknown
    >
    return { calculation: id, outputs: calculate(checked) }
  } catch (error) {
    if (error instanceof InputError || error instanceof ValidationError)
      return { calculation: id, error: error.message }
    throw error
  }
}
