import type { NumberField } from '../../field/field'
import { isWithin } from '../../field/isWithin'
import { say } from '../../units/print'
import { baseUnitOf, quantityFacts, type UnitSystem } from '../../units/quantity'
import { unitWords } from '../../units/unitWords'
import type { PartKind } from '../kinds'
import { fieldsOf, MOST_CURVE_POINTS, MOST_CURVE_RPM, MOST_TORQUE_NM, type PartField } from './fields'
import { rulesBroken, type Words } from './rules'
import type { PartOf } from './types'

/** What is wrong with one field of a part. */
export interface PartProblem {
  field: string
  got: string
  takes: string
}

/** Ids stand in files and on the command line: no spaces, nothing a spreadsheet would run. */
const ID = /^[a-z0-9][a-z0-9._-]{0,59}$/i
export const ID_TAKES = 'up to 60 letters, digits, points and dashes, starting with a letter or digit'
/** Starts with a letter or a digit, so that no spreadsheet takes it for a formula; all on one line. */
const WORDS = /^[\p{L}\p{N}][^\p{Cc}]*$/u

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** A value as an error shows it. */
export const gotWords = (value: unknown): string => {
  if (value === undefined || value === '') return 'nothing'
  const text = typeof value === 'string' ? value : JSON.stringify(value)
  return text.length > 60 ? `${text.slice(0, 57)}...` : text
}

/** The units that figures are read and written in: those of a field's name in a file, those of the job in a form. */
export type CellUnits = 'as named' | UnitSystem

/** The unit of a field's figure, as people write it. */
export const unitOf = ({ unit, quantity }: NumberField, units: CellUnits): string =>
  unit ?? (units === 'as named' ? unitWords(baseUnitOf(quantity)) : quantityFacts(quantity)[units].unit)

const wordsIn =
  (units: CellUnits): Words =>
  (value, quantity) =>
    units === 'as named' ? `${value} ${unitWords(baseUnitOf(quantity))}`.trim() : say(value, quantity, units)

/**
 * What a field takes, in words.
 *
 * @example takesWords({ is: 'choice', label: 'Control', of: ['open', 'closed'] }, 'mm') // 'one of open, closed'
 */
export function takesWords(field: PartField, units: CellUnits): string {
  switch (field.is) {
    case 'choice':
      return `one of ${field.of.join(', ')}`
    case 'words':
      return `1 to ${field.most} characters on one line, starting with a letter or a digit`
    case 'curve':
      return `points of speed and torque such as 0:2.2 600:1.9 1200:0.8, up to ${MOST_CURVE_POINTS} of them, or nothing`
    case 'number': {
      const { min, max, whole, orNone, quantity } = field
      const noun = whole ? 'a whole number' : 'a number'
      const unit = unitOf(field, units)
      const range =
        units === 'as named' || field.unit
          ? `${min} to ${max}${unit && ` ${unit}`}`
          : `${say(min, quantity, units)} to ${say(max, quantity, units)}`
      return `${noun} from ${range}${orNone ? ', or nothing' : ''}`
    }
  }
}

/** Whether a value is what its field takes, looking at this field alone. */
function fits(field: PartField, value: unknown): boolean {
  switch (field.is) {
    case 'choice':
      return typeof value === 'string' && field.of.includes(value)
    case 'words':
      return typeof value === 'string' && value.length <= field.most && WORDS.test(value)
    case 'curve':
      return value === null || isCurve(value)
    case 'number':
      return isWithin(field, value)
  }
}

const isCurve = (value: unknown): boolean =>
  Array.isArray(value) &&
  value.length <= MOST_CURVE_POINTS &&
  value.every(
    point =>
      isObject(point) &&
      Object.keys(point).length === 2 &&
      within(point.speedRpm, MOST_CURVE_RPM) &&
      within(point.torqueNm, MOST_TORQUE_NM),
  )
const within = (value: unknown, most: number) => typeof value === 'number' && value >= 0 && value <= most

/**
 * Checks a part: every field in its range, nothing missing or unknown, and what figures must be to each other.
 *
 * @returns what is wrong, field by field; empty for a part that can be taken
 * @example checkPart('screw', { ...screw, leadMm: 0 }) // [{ field: 'leadMm', got: '0', takes: 'a number from 0.5 to 100 mm' }]
 */
export function checkPart(kind: PartKind, part: unknown, units: CellUnits = 'as named'): PartProblem[] {
  if (!isObject(part)) return [{ field: 'part', got: gotWords(part), takes: 'an object' }]
  const fields = fieldsOf(kind)
  const known = new Set(['id', ...fields.map(([name]) => name)])
  const problems: PartProblem[] = Object.keys(part)
    .filter(name => !known.has(name))
    .map(name => ({ field: name, got: 'a field that is not known', takes: [...known].join(', ') }))
  if (typeof part.id !== 'string' || !ID.test(part.id))
    problems.push({ field: 'id', got: gotWords(part.id), takes: ID_TAKES })
  for (const [name, field] of fields)
    if (!fits(field, part[name]))
      problems.push({ field: name, got: gotWords(part[name]), takes: takesWords(field, units) })
  if (problems.length > 0) return problems
  return rulesBroken(kind, part as unknown as PartOf[typeof kind], wordsIn(units)).map(
    ({ field, takes }) => ({
      field,
      got: gotWords(part[field] === null ? undefined : part[field]),
      takes,
    }),
  )
}
