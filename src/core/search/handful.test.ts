import fc from 'fast-check'
import type { DrivePoint } from './field'
import { handful, PICKS } from './handful'

const point = (priceEur: number, margin: number, lostMotionUm: number, heightMm: number): DrivePoint => ({
  screw: 's',
  ends: 'fixed-supported',
  bearing: 'b',
  transmission: 'direct',
  coupler: 'c',
  belt: null,
  motor: 'm',
  priceEur,
  margin,
  lostMotionUm,
  heightMm,
})

test('the best at each thing is picked once, with all that it is best at', () => {
  const cheap = point(100, 1.01, 30, 60)
  const tight = point(400, 1.1, 4, 70)
  const low = point(300, 1.02, 25, 40)
  const strong = point(500, 3, 20, 80)
  const fair = point(150, 1.5, 12, 50)
  const found = handful([cheap, tight, low, strong, fair])
  expect(found).toEqual([
    { picks: ['cheapest'], point: cheap },
    { picks: ['least lost motion'], point: tight },
    { picks: ['lowest'], point: low },
    { picks: ['most in hand'], point: strong },
    { picks: ['a balance'], point: fair },
  ])
})

test('what is only close is left out where anything holds, and offered where nothing does', () => {
  const close = point(10, 0.95, 1, 10)
  const holds = point(500, 1.2, 30, 80)
  expect(handful([close, holds])).toEqual([{ picks: [...PICKS], point: holds }])
  expect(handful([close])).toEqual([{ picks: [...PICKS], point: close }])
  expect(handful([])).toEqual([])
})

test('nothing of the drives it was given beats a pick at what it was picked for', () => {
  const some = fc.array(
    fc.record({
      priceEur: fc.integer({ min: 50, max: 2000 }),
      margin: fc.double({ min: 0.5, max: 4, noNaN: true }),
      lostMotionUm: fc.integer({ min: 0, max: 60 }),
      heightMm: fc.integer({ min: 20, max: 120 }),
    }),
    { minLength: 1, maxLength: 40 },
  )
  fc.assert(
    fc.property(some, merits => {
      const points = merits.map(({ priceEur, margin, lostMotionUm, heightMm }) =>
        point(priceEur, margin, lostMotionUm, heightMm),
      )
      const holding = points.filter(({ margin }) => margin >= 1)
      const eligible = holding.length > 0 ? holding : points
      const picked = handful(points)
      expect(picked.flatMap(({ picks }) => picks).toSorted()).toEqual([...PICKS].toSorted())
      const by = (pick: (typeof PICKS)[number]) =>
        picked.find(({ picks }) => picks.includes(pick))?.point as DrivePoint
      expect(by('cheapest').priceEur).toBe(Math.min(...eligible.map(one => one.priceEur)))
      expect(by('least lost motion').lostMotionUm).toBe(Math.min(...eligible.map(one => one.lostMotionUm)))
      expect(by('lowest').heightMm).toBe(Math.min(...eligible.map(one => one.heightMm)))
      expect(by('most in hand').margin).toBe(Math.max(...eligible.map(one => one.margin)))
    }),
  )
})
