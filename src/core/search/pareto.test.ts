import fc from 'fast-check'
import { beats, type Merits, ParetoSet } from './pareto'

// Few values of each, so that drives are often alike in some of their merits, or in all.
const merits: fc.Arbitrary<Merits> = fc.record({
  priceEur: fc.integer({ min: 1, max: 6 }),
  margin: fc.integer({ min: 1, max: 5 }),
  lostMotionUm: fc.integer({ min: 1, max: 5 }),
  heightMm: fc.constantFrom(40, 60, 80),
})
const many = fc.array(merits, { minLength: 1, maxLength: 60 })
const HEIGHTS = [80, 40, 60]

function filled(points: Merits[]) {
  const set = new ParetoSet<Merits>(HEIGHTS)
  for (const point of points) set.offer(set.shelf(point.heightMm), point)
  return set
}
const inOrder = (points: readonly Merits[]) => points.map(point => JSON.stringify(point)).toSorted()

test('keeps what nothing beats, whatever the order in which it comes', () => {
  fc.assert(
    fc.property(many, fc.func(fc.integer()), (points, key) => {
      const best = points.filter(point => !points.some(other => beats(other, point)))
      expect(inOrder(filled(points).all)).toEqual(inOrder(best))
      const shuffled = points.toSorted((a, b) => key(a) - key(b))
      expect(inOrder(filled(shuffled).all)).toEqual(inOrder(best))
    }),
  )
})

test('a short list of rivals knows all that the long one does, within its bounds', () => {
  fc.assert(
    fc.property(many, merits, merits, (points, bounds, asked) => {
      const set = filled(points)
      const shelf = set.shelf(bounds.heightMm)
      const rivals = set.rivals(shelf, bounds.margin, bounds.lostMotionUm)
      // A drive of at most this margin and at least this lost motion.
      const margin = Math.min(asked.margin, bounds.margin)
      const lostMotionUm = Math.max(asked.lostMotionUm, bounds.lostMotionUm)
      const low = points.filter(({ heightMm }) => heightMm <= bounds.heightMm)
      const better = low.filter(one => one.margin >= margin && one.lostMotionUm <= lostMotionUm)
      const cheapest = Math.min(...better.map(({ priceEur }) => priceEur))
      expect(rivals.cheapest(margin, lostMotionUm)).toBe(cheapest)
      // Asked twice: the second time the one that beat it is asked first.
      for (let i = 0; i < 2; i++)
        expect(rivals.beats(asked.priceEur, margin, lostMotionUm)).toBe(cheapest < asked.priceEur)
    }),
  )
})

test('what is put into a short list beats from then on', () => {
  const rivals = filled([{ priceEur: 5, margin: 3, lostMotionUm: 3, heightMm: 40 }]).rivals(0, 4, 1)
  expect(rivals.beats(5, 3, 3)).toBe(false)
  expect(rivals.beats(6, 3, 3)).toBe(true)
  rivals.put(2, 4, 2)
  expect(rivals.beats(5, 3, 3)).toBe(true)
  expect(rivals.cheapest(4, 2)).toBe(2)
  expect(rivals.cheapest(4, 1)).toBe(Number.POSITIVE_INFINITY)
})
