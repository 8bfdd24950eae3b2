import fc from 'fast-check'
import { leastSquares, standardErrorOf, turnFit, turnOf } from './leastSquares'

const figure = (most: number) => fc.double({ min: -most, max: most, noNaN: true })

test('what lies on a line is found exactly, with nothing left over', () => {
  fc.assert(
    fc.property(figure(100), figure(10), (a, b) => {
      const xs = [0, 1, 2.5, 7, 11]
      const fitted = leastSquares(
        xs.map(x => [1, x]),
        xs.map(x => a + b * x),
      )
      expect(fitted?.coefficients[0]).toBeCloseTo(a, 8)
      expect(fitted?.coefficients[1]).toBeCloseTo(b, 8)
      expect(fitted?.spread).toBeLessThan(1e-9)
    }),
  )
})

test('readings that cannot tell give nothing, and those without any to spare no errors', () => {
  expect(
    leastSquares(
      [
        [1, 2],
        [1, 2],
        [1, 2],
      ],
      [1, 2, 3],
    ),
  ).toBeNull()
  expect(leastSquares([[1, 2]], [1])).toBeNull()
  expect(
    leastSquares(
      [
        [1, 0],
        [1, 1],
      ],
      [1, 2],
    ),
  ).toMatchObject({ standardErrors: null, spread: null })
})

test('the error of a mean is the spread over the root of the count', () => {
  const values = [3, 5, 4, 8]
  const fitted = leastSquares(
    values.map(() => [1]),
    values,
  )
  const variance = values.reduce((sum, one) => sum + (one - 5) ** 2, 0) / 3
  expect(fitted?.standardErrors?.[0]).toBeCloseTo(Math.sqrt(variance / 4), 12)
  expect(fitted && standardErrorOf(fitted, [2])).toBeCloseTo(2 * Math.sqrt(variance / 4), 12)
})

test('a wave once a turn comes back with its size and its angle, wherever the gauge was zeroed', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 50, noNaN: true }),
      fc.double({ min: 0, max: 359, noNaN: true }),
      figure(100),
      (amplitude, atDeg, zero) => {
        const fit = turnFit(
          [0, 50, 130, 200, 290].map(angleDeg => ({
            angleDeg,
            value: zero + amplitude * Math.cos(((angleDeg - atDeg) * Math.PI) / 180),
          })),
        )
        expect(fit?.amplitude).toBeCloseTo(amplitude, 8)
        expect(Math.abs(turnOf((fit?.largestAtDeg ?? 0) - atDeg + 180) - 180)).toBeLessThan(1e-6)
      },
    ),
  )
  expect(
    turnFit([
      { angleDeg: 0, value: 1 },
      { angleDeg: 360, value: 2 },
      { angleDeg: 180, value: 1 },
    ]),
  ).toBeNull()
})
