import fc from 'fast-check'
import { AXIS_FIELDS } from '../document/axis'
import { SHEETS } from '../sheets'
import {
  blankOf,
  blankRow,
  choice,
  type Field,
  length,
  maybe,
  numberFields,
  plain,
  record,
  rows,
  words,
} from './field'
import { schemaOf } from './schema'

const JOINTS = rows('Joint', {
  label: words('Name', 8),
  thread: choice('Thread', ['M5', 'M6'], { blank: 'M6' }),
  gripMm: length('Grip', [2, 500]),
  count: plain('Count', [1, 9], { whole: true, blank: 4 }),
  suppliedMm: length('Came with it', [1, 500], { orNone: true }),
})
const valid = (field: Field, value: unknown) => schemaOf(field).isValidSync(value, { strict: true })

test('a blank row is what its description takes, and starts within every range', () => {
  const row = blankRow(JOINTS, 'a', { label: 'Block' })
  expect(row).toEqual({ id: 'a', label: 'Block', thread: 'M6', gripMm: 2, count: 4, suppliedMm: null })
  expect(valid(JOINTS, [row])).toBe(true)
  expect(valid(JOINTS, [row, row])).toBe(false)
})

test('the schema takes the range of the description to its ends, and nothing beyond', () => {
  fc.assert(
    fc.property(fc.double({ noNaN: true }), value => {
      expect(valid(JOINTS.of.gripMm, value)).toBe(value >= 2 && value <= 500)
      expect(valid(JOINTS.of.count, value)).toBe(Number.isInteger(value) && value >= 1 && value <= 9)
    }),
  )
  for (const value of [null, '3', Number.NaN, undefined]) expect(valid(JOINTS.of.gripMm, value)).toBe(false)
  expect(valid(JOINTS.of.suppliedMm, null)).toBe(true)
  expect(valid(JOINTS.of.thread, 'M7')).toBe(false)
})

test('an error says which field, what was got and what is taken', () => {
  const message = (field: Field, value: unknown) => {
    try {
      schemaOf(record('Job', { at: field })).validateSync({ at: value }, { strict: true })
      return ''
    } catch (error) {
      return (error as Error).message
    }
  }
  expect(message(JOINTS.of.count, 2.5)).toBe('at: got 2.5, takes a whole number from 1 to 9')
  expect(message(JOINTS.of.suppliedMm, 'x')).toBe('at: got "x", takes a number from 1 to 500, or null')
  expect(message(JOINTS, [{ ...blankRow(JOINTS, 'a'), gripMm: 1 }])).toBe(
    'at[0].gripMm: got 1, takes a number from 2 to 500',
  )
  expect(message(JOINTS, [{ ...blankRow(JOINTS, ''), gripMm: 3 }])).toContain('at[0].id: got ""')
})

test('every field of every sheet is blank in a way that its own schema takes', () => {
  const fields = Object.entries({
    ...AXIS_FIELDS,
    ...Object.assign({}, ...SHEETS.map(({ fields: of }) => of)),
  })
  for (const [name, field] of fields as [string, Field][])
    if (name !== 'dimensions' && name !== 'ends')
      expect({ name, valid: valid(field, blankOf(field)) }).toEqual({ name, valid: true })
})

test('figures are told from the rest, and what may be missing is none', () => {
  expect(Object.keys(numberFields(JOINTS.of))).toEqual(['gripMm', 'count', 'suppliedMm'])
  expect(blankOf(maybe('Block', record('Block', { gripMm: JOINTS.of.gripMm })))).toBeNull()
})
