import { isEqual } from 'es-toolkit'
import fc from 'fast-check'
import { applyPatches, diff, forcePatches, inverse, joinPatches, StaleError } from './patch'

const rows = fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), mm: fc.nat(5) }), {
  selector: ({ id }) => id,
})
const document = fc.record({
  name: fc.constantFrom('x', 'y'),
  block: fc.option(fc.record({ mm: fc.nat(3) }), { nil: null }),
  rows,
  readings: fc.array(fc.nat(4), { maxLength: 6 }),
  nested: fc.array(fc.record({ id: fc.constantFrom('r'), rows }), { maxLength: 1 }),
  ticks: fc.dictionary(fc.constantFrom('one', 'two'), fc.constantFrom('then', 'now')),
})

test('what makes one document of another does so, and its inverse takes it back, whatever the two are', () => {
  fc.assert(
    fc.property(document, document, (before, after) => {
      const patches = JSON.parse(JSON.stringify(diff(before, after)))
      expect(applyPatches(before, patches)).toEqual(after)
      expect(applyPatches(after, inverse(patches))).toEqual(before)
    }),
    { numRuns: 2000 },
  )
})

test('what is the same needs no patch, and what a patch does not touch stays the same object', () => {
  fc.assert(fc.property(document, one => void expect(diff(one, structuredClone(one))).toEqual([])))
  const before = {
    a: { v: 1 },
    rows: [
      { id: 'x', v: 1 },
      { id: 'y', v: 1 },
    ],
  }
  const after = applyPatches(before, [{ path: ['rows', 'x', 'v'], was: 1, now: 2 }])
  expect(after.a).toBe(before.a)
  expect(after.rows[1]).toBe(before.rows[1])
})

test('a row is found by its id wherever it has moved to, and nothing is done to another in its place', () => {
  const patch = { path: ['rows', 'b', 'mm'], was: 2, now: 3 }
  expect(applyPatches({ rows: [{ id: 'b', mm: 2 }] }, [patch])).toEqual({ rows: [{ id: 'b', mm: 3 }] })
  expect(() => applyPatches({ rows: [{ id: 'c', mm: 2 }] }, [patch])).toThrow(StaleError)
  expect(() => applyPatches({ rows: [{ id: 'b', mm: 9 }] }, [patch])).toThrow(
    'rows.b.mm: got another value than the change was made on',
  )
})

test('a reading taken out finds its value; one that is not there any more is refused', () => {
  const [out] = diff({ list: [1, 2, 3] }, { list: [1, 3] })
  expect(applyPatches({ list: [1, 2, 3, 4] }, [out as never])).toEqual({ list: [1, 3, 4] })
  expect(() => applyPatches({ list: [1, 9, 3] }, [out as never])).toThrow(StaleError)
  // What was put in at the end is taken from the end, also when more came after it.
  const [added] = diff({ list: [1] }, { list: [1, 7] })
  expect(applyPatches({ list: [1, 7, 8] }, inverse([added as never]))).toEqual({ list: [1, 8] })
})

test('patches of one act of typing join to one a field, and do what they did one after another', () => {
  fc.assert(
    fc.property(fc.array(document, { minLength: 2, maxLength: 5 }), states => {
      const [first, ...more] = states
      let last = first
      let joined = diff(first, first)
      for (const state of more) {
        joined = joinPatches(joined, diff(last, state))
        last = state
      }
      expect(applyPatches(first, joined)).toEqual(last)
      expect(applyPatches(last, inverse(joined))).toEqual(first)
    }),
  )
  const typed = [2, 25, 250].map((now, index) => ({ path: ['mm'], was: [1, 2, 25][index], now }))
  expect(typed.reduce((all, one) => joinPatches(all, [one]), diff(0, 0))).toEqual([
    { path: ['mm'], was: 1, now: 250 },
  ])
})

test('a builder who insists puts in what still has a place', () => {
  const patches = [
    { path: ['mm'], was: 1, now: 3 },
    { path: ['rows', 'gone', 'mm'], was: 1, now: 3 },
  ]
  expect(forcePatches({ mm: 2, rows: [] }, patches)).toEqual({ mm: 3, rows: [] })
})

test('plain data is the same by what it holds', () => {
  expect(isEqual({ a: [1, { b: null }] }, { a: [1, { b: null }] })).toBe(true)
  for (const other of [{ a: [1, { b: 0 }] }, { a: [1] }, { a: [1, { b: null }], c: 1 }, [], null])
    expect(isEqual({ a: [1, { b: null }] }, other)).toBe(false)
})
