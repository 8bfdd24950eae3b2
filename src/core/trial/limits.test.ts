import { tryOn } from './builder'
import { type Held, heldTo, isKept, limitsTable, type Told } from './limits'
import { drawTrial } from './trial'

const some = Array.from({ length: 6 }, (_, index) => drawTrial(index + 1))
const told: Told[] = some.map(trial => ({ ...tryOn(trial, 'gib').outcome, straightFirst: undefined }))
const [first] = told as [Told]
const of = (outcomes: Told[], what: string) => heldTo(outcomes).find(one => one.what.startsWith(what)) as Held

test('counts orders, proofs and names of what was tried, and what was never tried breaks nothing', () => {
  const one: Told = { ...first, slip: null, better: 3, same: 0, worse: 1, last: 'holds', falseProof: true }
  expect(of([one], 'Orders that make')).toMatchObject({ part: 1, of: 4 })
  expect(isKept(of([one], 'Orders that make'))).toBe(false)
  expect(of([one], 'Said to hold')).toMatchObject({ part: 1, of: 1 })
  expect(heldTo([]).every(isKept)).toBe(true)
})

test('a slip counts where it makes a sheet say something else, and is caught where it asks', () => {
  const slipped: Told = { ...first, slip: 'lost-minus', straightFirst: 'holds' }
  const named = 'Asked about where it decides: lost minus'
  expect(of([{ ...slipped, first: 'holds' }], named)).toMatchObject({ part: 0, of: 0 })
  expect(of([{ ...slipped, first: 'unknown' }], named)).toMatchObject({ part: 1, of: 1 })
  expect(of([{ ...slipped, first: 'fails' }], named)).toMatchObject({ part: 0, of: 1 })
})

test('the table says which limit is broken', () => {
  const { rows } = limitsTable([{ what: 'Orders', part: 3, of: 100, limit: 0.01, least: false }])
  expect(rows).toEqual([['Orders', '3 of 100 (3.0 %)', 'at most 1.0 %', 'NO']])
})

test('minutes are held to minutes', () => {
  const minutes = { what: 'Minutes', part: 60, of: 2, limit: 25, least: false, unit: 'min' } as const
  expect(limitsTable([minutes]).rows).toEqual([['Minutes', '30.0 min, of 2', 'at most 25.0 min', 'NO']])
})
