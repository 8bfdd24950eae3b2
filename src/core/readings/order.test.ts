import fc from 'fast-check'
import { evenRandom, normalFrom } from '../calculation/evenRandom'
import { leastSquares } from '../calculation/leastSquares'
import { readingsDrift, readingsOutlier, readingsStep } from './order'
import { standApart } from './plausible'

/** Runs up and down over some places, each with a value of its own, read with a spread of one. */
function course(seed: number, places = 7, runs = 5) {
  const normal = normalFrom(evenRandom(seed))
  const own = Array.from({ length: 2 * places }, () => 20 * normal())
  const once = [
    ...Array.from({ length: places }, (_, place) => `${place} up`),
    ...Array.from({ length: places }, (_, place) => `${places - 1 - place} down`),
  ]
  const groups = Array.from({ length: runs }, () => once).flat()
  const names = [...new Set(once)]
  const valuesUm = groups.map(group => (own[names.indexOf(group)] as number) + normal())
  return { groups, valuesUm }
}
const TRIES = 400
const share = (is: (seed: number) => boolean) =>
  Array.from({ length: TRIES }, (_, seed) => is(seed + 1)).filter(Boolean).length / TRIES

test('sound tests drift, jump and stand apart in one of a hundred', () => {
  expect(share(seed => readingsDrift(course(seed)).drifts)).toBeLessThanOrEqual(0.02)
  expect(share(seed => readingsStep(course(seed)).steps)).toBeLessThanOrEqual(0.02)
  expect(share(seed => readingsOutlier(course(seed)).isOutlier)).toBeLessThanOrEqual(0.02)
  const apart = (seed: number) => {
    const { groups, valuesUm } = course(seed)
    const of = (name: string) => valuesUm.filter((_, index) => groups[index] === name)
    // Target by target, as the sheets look: up and down of each.
    return Array.from({ length: 7 }, (_, place) => [of(`${place} up`), of(`${place} down`)]).some(
      both => standApart(both, 0.5, valuesUm.length).length > 0,
    )
  }
  expect(share(apart)).toBeLessThanOrEqual(0.02)
})

test('a creeping base, a lost cycle and a slipped digit are found, by their size and place', () => {
  const crept = (seed: number) => {
    const { groups, valuesUm } = course(seed)
    const { drifts, totalUm } = readingsDrift({
      groups,
      valuesUm: valuesUm.map((one, index) => one + 0.1 * index),
    })
    return drifts && Math.abs(totalUm - 6.9) < 2
  }
  expect(share(crept)).toBeGreaterThan(0.98)
  const jumped = (seed: number) => {
    const { groups, valuesUm } = course(seed)
    const { steps, stepUm, afterReading } = readingsStep({
      groups,
      valuesUm: valuesUm.map((one, index) => one + (index >= 30 ? 20 : 0)),
    })
    return steps && afterReading === 30 && Math.abs(stepUm - 20) < 2
  }
  expect(share(jumped)).toBeGreaterThan(0.98)
  const slipped = (seed: number) => {
    const { groups, valuesUm } = course(seed)
    const { isOutlier, reading } = readingsOutlier({
      groups,
      valuesUm: valuesUm.map((one, index) => (index === 12 ? one + 30 : one)),
    })
    return isOutlier && reading === 13
  }
  expect(share(slipped)).toBeGreaterThan(0.98)
})

test('one pass over the places of a jump is the least squares of each', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 2, max: 4 }), (seed, places) => {
      const { groups, valuesUm } = course(seed, places, 3)
      const { afterReading, stepUm, standardUm } = readingsStep({ groups, valuesUm })
      const names = [...new Set(groups)]
      const fitted = leastSquares(
        groups.map((group, index) => [
          ...names.map(name => (name === group ? 1 : 0)),
          index >= afterReading ? 1 : 0,
        ]),
        valuesUm,
      )
      expect(fitted?.coefficients.at(-1)).toBeCloseTo(stepUm, 6)
      const inverse = fitted?.inverse.at(-1) as readonly number[]
      expect((fitted?.spread as number) * Math.hypot(...inverse)).toBeCloseTo(standardUm, 6)
    }),
  )
})

test('order that cannot be told from place asks for the first place again', () => {
  expect(() => readingsDrift({ groups: ['a', 'b', 'c'], valuesUm: [1, 2, 3] })).toThrow(
    'the first place again',
  )
  expect(() => readingsStep({ groups: ['a', 'b', 'c'], valuesUm: [1, 2, 3] })).toThrow(
    'places that come again',
  )
  expect(() => readingsOutlier({ groups: ['a', 'b'], valuesUm: [1, 2] })).toThrow('groups of two readings')
  expect(() => readingsDrift({ groups: ['a', 'b', 'a'], valuesUm: [1, 2] })).toThrow('one for each group')
})

test('two slips are both marked, and readings as coarse as their gauge are not', () => {
  const up = [24, 22, 25, 230, 24, 23, 24, 25, 22, 24]
  const down = [-20, -21, -19, -20, 200, -20, -22, -21, -20, -19]
  expect(standApart([up, down], 1, 20)).toEqual(
    expect.arrayContaining([
      { group: 0, index: 3 },
      { group: 1, index: 4 },
    ]),
  )
  expect(
    standApart(
      [
        [20, 20, 20, 30, 20],
        [0, 0, 0, 0, 0],
      ],
      10,
      10,
    ),
  ).toEqual([])
})
