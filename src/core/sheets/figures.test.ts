import fc from 'fast-check'
import { runs } from '../calculation/fixtures/runs'
import { InputError } from '../calculation/inputError'
import { AXIS_FIELDS, type Axis } from '../document/axis'
import { remedied } from '../evaluation/remedy'
import type { Field, Fields } from '../field/field'
import { fits } from '../field/fits'
import { CATALOGUE } from '../machine/parts'
import { SHEETS } from '.'
import { evaluateAxis } from './evaluateAxis'
import { AXES, type Draw, draw, edited, placeOf } from './fixtures/edits'
import { type Path, valueAt, withValueAt } from './fixtures/places'
import { type Registered, registry } from './registry'
import { remediesFor } from './remediesFor'

const FIELDS: Fields = Object.assign({}, AXIS_FIELDS, ...SHEETS.map(({ fields = {} }) => fields))

/** The field one step further in. */
function inside(field: Field | undefined, step: string | number): Field | undefined {
  switch (field?.is) {
    case 'list':
    case 'map':
      return field.of
    case 'rows':
    case 'record':
      // Of a list of rows the step to a row stays at it.
      return typeof step === 'number' ? field : field.of[step]
    case 'maybe':
      return inside(field.of, step)
    default:
      return undefined
  }
}
/** The field that a place of an axis is of. */
const fieldAt = (path: Path): Field | undefined =>
  path.slice(1).reduce<Field | undefined>(inside, FIELDS[path[0] as string])

/** The figures that were worked out of what their calculation does not take. */
function wronglyFed(axis: Axis): string[] {
  const evaluation = evaluateAxis(axis, CATALOGUE, 'mm')
  evaluation.findings.map(({ sentence }) => sentence)
  return Object.entries(evaluation.figures).flatMap(([name, { calculation, inputs }]) => {
    try {
      ;(registry.get(calculation) as Registered)(inputs)
      return []
    } catch (error) {
      if (!(error instanceof InputError)) throw error
      return [`${name} (${calculation}): ${error.message}`]
    }
  })
}

/** As the document takes it: a number goes to an end of its range, or somewhere within; what is refused changes nothing. */
function takenEdit(axis: Axis, one: Draw): Axis {
  const path = placeOf(axis, one)
  const field = fieldAt(path)
  const end = field?.is === 'number' && [field.min, field.max][one.how % 4]
  const next =
    typeof end === 'number' && Number.isFinite(end) ? withValueAt(axis, path, end) : edited(axis, one)
  const isKnown = field?.is === 'number' || field?.is === 'choice'
  return isKnown && !fits(field, valueAt(next, path)) ? axis : next
}

// Inputs are checked where they come in. Within the core nothing is checked again: what follows from them is asked for by
// name where it can come to nothing, and never reaches a formula that does not take it.
test.each(AXES.map(axis => [axis.id, axis] as const))(
  'no formula of %s is fed what it does not take, whatever is edited',
  (_, axis) => {
    expect(wronglyFed(axis)).toEqual([])
    fc.assert(
      fc.property(fc.array(draw, { minLength: 8, maxLength: 8 }), draws => {
        let now = axis
        for (const one of draws) {
          now = takenEdit(now, one)
          const wrong = wronglyFed(now)
          if (wrong.length > 0)
            throw new Error(`${JSON.stringify(one)} at ${placeOf(now, one).join('.')}: ${wrong.join('; ')}`)
        }
        // Nor does what is offered against what fails lead there.
        const fails = evaluateAxis(now, CATALOGUE, 'mm').findings.filter(({ state }) => state === 'fails')
        const checkId = fails[(draws[0] as Draw).which % (fails.length || 1)]?.checkId
        for (const remedy of checkId ? remediesFor(now, CATALOGUE, 'mm', checkId) : [])
          expect([remedy.label, wronglyFed(remedied(now, remedy))]).toEqual([remedy.label, []])
      }),
      { numRuns: runs(60, 4) },
    )
  },
)
