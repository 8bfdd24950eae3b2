import { evenRandom, normalFrom } from '../calculation/evenRandom'
import type { OfLast } from '../document/ofLast'
import { newAxis } from '../sheets/newJob'
import { byMachines, expectedOf, expectedUntilRead, nextOfKind, readBefore, unlikeOthers } from './castings'

const X = newAxis({ name: 'X', title: 'Table' })
const NOTHING_READ = Object.fromEntries(
  Object.keys(X.dimensions).map(key => [key, null]),
) as OfLast['dimensions']
/** An axis of a machine before which so many stood, newest first; null where a machine was not read. */
const after = (...ways: (number | null)[]) => {
  const [last, ...before] = ways.map((wayTravelMm, index) => ({
    id: `m${index}`,
    machine: `Machine ${ways.length - index}`,
    dimensions: { ...NOTHING_READ, wayTravelMm },
  }))
  return { ...X, ofLast: last ? { ...last, before, mended: [] } : null }
}

test('what was read stands newest first, each with its machine; a machine that nobody measured is passed over', () => {
  expect(readBefore(X, 'wayTravelMm')).toEqual([])
  expect(readBefore(after(null, 412.6, null, 411.9), 'wayTravelMm')).toEqual([
    { machine: 'Machine 3', value: 412.6 },
    { machine: 'Machine 1', value: 411.9 },
  ])
})

test('one machine says nothing of the next, nor do any that all read alike', () => {
  expect(expectedOf(after(412), 'wayTravelMm')).toBeNull()
  expect(expectedOf(after(412, null), 'wayTravelMm')).toBeNull()
  expect(expectedOf(after(412, 412, 412), 'wayTravelMm')).toBeNull()
  expect(unlikeOthers(after(412, 412, 412), 'wayTravelMm', 380)).toBeNull()
})

test('what the conversion makes follows from its plan, not from what was made before', () => {
  const made = [548, 552, 549].map((supportSpanMm, index) => ({
    id: `m${index}`,
    machine: `Machine ${index}`,
    dimensions: { ...NOTHING_READ, supportSpanMm },
  }))
  const [last, ...before] = made as [(typeof made)[number], ...typeof made]
  const axis = { ...X, ofLast: { ...last, before, mended: [] } }
  expect(readBefore(axis, 'supportSpanMm')).toHaveLength(3)
  expect(expectedOf(axis, 'supportSpanMm')).toBeNull()
  expect(unlikeOthers(axis, 'supportSpanMm', 620)).toBeNull()
})

test('two machines tell little, and say so', () => {
  const two = expectedOf(after(412.6, 411.9), 'wayTravelMm')
  expect(two).toMatchObject({ machines: 2, mean: 412.25 })
  // t(0.95, 1) = 12.706; s = 0.7 / sqrt 2; sqrt(1 + 1/2).
  expect(two?.halfWidth).toBeCloseTo((12.706 * 0.7 * Math.sqrt(1.5)) / Math.SQRT2, 2)
  expect(byMachines([2])).toBe('By 2 machines before, which tell little yet')
  expect(byMachines([4, 3])).toBe('By 3 machines before')
})

test('the next one lies within the band 19 times in 20, and is called unlike once in a hundred, however few there were', () => {
  const normal = normalFrom(evenRandom(7))
  for (const before of [2, 3, 6]) {
    let [within, unlike] = [0, 0]
    const tries = 4000
    for (let one = 0; one < tries; one++) {
      const axis = after(...Array.from({ length: before }, () => 400 + 0.8 * normal()))
      const next = 400 + 0.8 * normal()
      const band = expectedOf(axis, 'wayTravelMm')
      if (band && Math.abs(next - band.mean) <= band.halfWidth) within += 1
      if (unlikeOthers(axis, 'wayTravelMm', next)) unlike += 1
    }
    // Five standard deviations of such a count.
    expect(Math.abs(within / tries - 0.95)).toBeLessThan(5 * Math.sqrt((0.95 * 0.05) / tries))
    expect(Math.abs(unlike / tries - 0.01)).toBeLessThan(5 * Math.sqrt((0.01 * 0.99) / tries))
  }
})

test('a slip of a digit, or inches taken for millimetres, is unlike four castings that are nearly the same', () => {
  const four = after(412.6, 411.9, 413.1, 412.2)
  for (const slipped of [421.6, 142.6, 16.25, 4126])
    expect(unlikeOthers(four, 'wayTravelMm', slipped)?.machines).toBe(4)
  expect(unlikeOthers(four, 'wayTravelMm', 413.4)).toBeNull()
})

test('what was read or planned here is not expected any more; a guess still is', () => {
  const four = after(412.6, 411.9, 413.1, 412.2)
  const as = (
    value: number | null,
    provenance: 'assumed' | 'measured' | 'outside' | 'planned' | 'sheet',
  ) => ({
    ...four,
    dimensions: { ...four.dimensions, wayTravelMm: { value, provenance } },
  })
  expect(expectedUntilRead(as(null, 'assumed'), 'wayTravelMm')?.machines).toBe(4)
  expect(expectedUntilRead(as(412.6, 'assumed'), 'wayTravelMm')?.machines).toBe(4)
  for (const from of ['measured', 'outside', 'planned', 'sheet'] as const)
    expect(expectedUntilRead(as(412.6, from), 'wayTravelMm')).toBeNull()
})

test('a band moves and stretches with its values', () => {
  const values = [57.04, 56.94, 57.44, 57.89]
  const { mean, halfWidth } = nextOfKind({ values, confidence: 0.9 })
  const moved = nextOfKind({ values: values.map(value => 25.4 * value - 1000), confidence: 0.9 })
  expect(moved.mean).toBeCloseTo(25.4 * mean - 1000, 9)
  expect(moved.halfWidth).toBeCloseTo(25.4 * halfWidth, 9)
  expect(nextOfKind({ values, confidence: 0.99 }).halfWidth).toBeGreaterThan(halfWidth)
  expect(() => nextOfKind({ values: [57], confidence: 0.9 })).toThrow('values')
})
