import fc from 'fast-check'
import { coverageFactor } from './studentLaw'

// Two-sided points of Student's law as every table of it has them.
test.each([
  [0.95, 1, 12.7062047],
  [0.95, 2, 4.30265273],
  [0.95, 4, 2.77644511],
  [0.95, 8, 2.30600414],
  [0.95, 30, 2.04227246],
  [0.99, 5, 4.03214298],
  [0.9, 10, 1.81246112],
])('%p at %p degrees is %p', (confidence, degrees, point) => {
  expect(coverageFactor(confidence, degrees)).toBeCloseTo(point, 6)
})

test('without a limit of degrees it is the normal law', () => {
  expect(coverageFactor(0.95, null)).toBeCloseTo(1.959963985, 8)
  expect(coverageFactor(0.95, 1e6)).toBeCloseTo(1.959966, 5)
})

test('with one and two degrees it is what the closed forms say', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 0.999, noNaN: true }), share => {
      expect(coverageFactor(share, 1) / Math.tan((Math.PI * share) / 2)).toBeCloseTo(1, 8)
      expect(coverageFactor(share, 2) / (share * Math.sqrt(2 / (1 - share * share)))).toBeCloseTo(1, 8)
    }),
  )
})
