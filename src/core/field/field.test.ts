import fc from 'fast-check'
import { AXIS_FIELDS } from '../document/axis'
import { SHEETS } from '../sheets'
import {
  blankOf,
  blankRow,
  choice,
  type Field,
  flag,
  given,
  length,
  list,
  map,
  maybe,
  numberFields,
  numberOf,
  plain,
  record,
  rows,
  torque,
  words,
} from './field'
import { fits } from './fits'
import { namesOf } from './names'
import { schemaOf } from './schema'
import { takes, unitOf } from './takes'

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
  expect(message(JOINTS.of.suppliedMm, 'x')).toBe('at: got "x", takes a number from 1 to 500 mm, or null')
  expect(message(JOINTS, [{ ...blankRow(JOINTS, 'a'), gripMm: 1 }])).toBe(
    'at[0].gripMm: got 1, takes a number from 2 to 500 mm',
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

test('a formula takes a field with its words, its unit and its sign, and no end of its form', () => {
  const bore = length('Depth of the bore', [1, 500], { symbol: 't', orNone: true })
  expect(given(bore)).toMatchObject({ label: 'Depth of the bore', symbol: 't', over: 0 })
  expect(unitOf(given(bore))).toBe('mm')
  expect([0, 0.5, 9000, null].map(value => fits(given(bore), value))).toEqual([false, true, true, false])
  const time = numberOf('duration')('Reaction', [0, 2], { orNone: true })
  expect(unitOf(given(time))).toBe('s')
  // The formula needs a figure, also where the form may have none yet.
  expect([null, 0, 3].map(value => fits(given(time), value))).toEqual([false, true, true])
  const limit = given(length('At least', [-5, 5]), { label: 'lower limit', symbol: 'L' })
  expect(limit).toMatchObject({ label: 'lower limit', symbol: 'L' })
  expect(fits(limit, -7)).toBe(true)
})

test('a list says the same of how many it takes at both doors', () => {
  const of = list('angles', plain('angle', {}), 2)
  expect(takes(of)).toBe('a list of at least 2')
  expect(() => schemaOf(of).validateSync([1], { strict: true })).toThrow('takes a list of at least 2')
})

test.each([
  [length('a', [0, 5]), 'a number from 0 to 5 mm', [0, 5], [-1, 6, Number.NaN]],
  [length('a', { over: 0 }), 'a number over 0 mm', [1e-9, 1e9], [0, Number.POSITIVE_INFINITY]],
  [plain('a', { over: 0, below: 1 }), 'a number over 0 below 1', [0.5], [0, 1]],
  [plain('a', { max: 3 }, { whole: true }), 'a whole number up to 3', [-9, 3], [2.5, 4]],
  [length('a', { min: 1 }, { orNone: true }), 'a number from 1 mm, or null', [null, 1], [undefined, 0]],
  [torque('a', { min: 0 }, { default: 2 }), 'a number from 0 N m', [undefined, 0], [null, -1]],
  [plain('a', {}, { oneOf: [1, 2], unit: 'A' }), 'one of 1, 2 A', [1, 2], [1.5]],
])('open ends, defaults and few values: %#', (field, words, good, bad) => {
  expect(takes(field)).toBe(words)
  for (const value of good) {
    expect([value, fits(field, value)]).toEqual([value, true])
    expect([value, schemaOf(field).isValidSync(value, { strict: true })]).toEqual([value, true])
  }
  for (const value of bad) {
    expect([value, fits(field, value)]).toEqual([value, false])
    expect([value, schemaOf(field).isValidSync(value, { strict: true })]).toEqual([value, false])
  }
})

test('a map takes the names that its pattern matches, letters of every language among them', () => {
  const orders = map('Orders', flag('Ordered'), /^[a-z]+:[\p{L}\p{N} ._-]{1,100}$/u)
  const isTaken = namesOf(orders)
  expect(['part:ball-20-5-double', 'bar:Mühle 25.4', 'use:смазка'].every(isTaken)).toBe(true)
  expect(['part', 'part:', 'PART:x', 'part:a/b'].some(isTaken)).toBe(false)
  expect(schemaOf(orders).isValidSync({ 'part:ball-20-5-double': true })).toBe(true)
  expect(schemaOf(orders).isValidSync({ 'part:a/b': true })).toBe(false)
})
