import { leastSquares, standardErrorOf } from '../../../calculation/leastSquares'
import { leastOnLineUm, leastWaveUm } from './resolution'

const STEP_SPREAD = 20 / Math.sqrt(12)

test('a wave is told from less with a finer gauge, and with more places', () => {
  expect(leastWaveUm(20, 6)).toBeCloseTo(1.96 * STEP_SPREAD * Math.sqrt(2 / 6), 2)
  expect(leastWaveUm(10, 6)).toBeCloseTo(leastWaveUm(20, 6) / 2, 9)
  expect(leastWaveUm(20, 24)).toBeCloseTo(leastWaveUm(20, 6) / 2, 9)
})

test('on a line it is the error of the slope that the least squares say, times the arm', () => {
  const places = [0, 100, 200, 300]
  const fitted = leastSquares(
    places.map(place => [1, place]),
    [0, STEP_SPREAD, -STEP_SPREAD, 0],
  )
  const slope = fitted && standardErrorOf(fitted, [0, 1])
  const perSpread = (slope as number) / (fitted?.spread as number)
  expect(leastOnLineUm(20, places, 250)).toBeCloseTo(1.96 * STEP_SPREAD * perSpread * 250, 2)
  expect(leastOnLineUm(20, [50, 50], 250)).toBeNull()
})
