import { evenRandom, normalFrom } from '../../calculation/evenRandom'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { catalogueOf } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { onTrend, type TrendPoint, trendLine, upkeepTrend } from './calculation'
import { playTrendOf } from './trend'

const { job } = skarrow()
const AXIS: Axis = { ...(job.axes[0] as Axis), touched: null, faultSearches: [] }
const WEEK = 7 * 86_400_000
const BEGUN = Date.parse('2026-01-05T10:00:00.000Z')

/** A test of one place after some weeks, that lost so much. */
const tested = (weeks: number, lostUm: number, label = `week ${weeks}`) => ({
  id: label,
  label,
  startedAt: new Date(BEGUN + weeks * WEEK).toISOString(),
  gaugeStepUm: 1,
  stations: [
    {
      positionMm: 100,
      approachPositiveUm: [0, 1, 0, 1],
      approachNegativeUm: [lostUm, lostUm + 1, lostUm, lostUm + 1],
    },
    { positionMm: 200, approachPositiveUm: [0, 1, 0, 1], approachNegativeUm: [2, 3, 2, 3] },
  ],
})
const trendOf = (tests: ReturnType<typeof tested>[], change: Partial<Axis> = {}) => {
  const axis = {
    ...AXIS,
    lube: { ...AXIS.lube, hoursPerWeek: 10 },
    goals: { ...AXIS.goals, backlashTargetUm: 40 },
    ...change,
  }
  return playTrendOf(evaluateAxis(axis, catalogueOf(job), 'mm'), tests)
}

test('play that grows by ten micrometres in ten weeks passes what is wanted when the line does, and may before', () => {
  const { found, tests } = trendOf([tested(0, 10), tested(5, 15), tested(10, 20)])
  expect(tests.map(({ hours }) => hours)).toEqual([0, 50, 100])
  expect(tests.map(({ valueUm }) => valueUm)).toEqual([10, 15, 20])
  expect(found?.trend.slopeUmPer1000H).toBeCloseTo(100, 6)
  expect(found?.trend.reachesHours).toBeCloseTo(300, 6)
  const at = Date.parse(found?.reaches?.at ?? '')
  expect((at - BEGUN) / WEEK).toBeCloseTo(30, 6)
  const earliest = (Date.parse(found?.reaches?.earliest ?? '') - BEGUN) / WEEK
  expect(earliest).toBeGreaterThan(10)
  expect(earliest).toBeLessThan(30)
  // There the upper edge of the band is what is wanted.
  const { valueUm, expandedUm } = onTrend(found?.line as NonNullable<typeof found>['line'], earliest * 10)
  expect(valueUm + expandedUm).toBeCloseTo(40, 3)
})

test('play that stays is not said to grow, and that of a made-up gauge is none', () => {
  const level = trendOf([tested(0, 10), tested(5, 11), tested(10, 10)])
  expect(level.found?.trend.grows).toBe(false)
  expect(level.found?.reaches).toBeNull()
  const made = trendOf([tested(0, 10), tested(5, 30, 'made up (practice)'), tested(10, 10)])
  expect(made.tests.map(({ label }) => label)).toEqual(['week 0', 'week 10'])
})

test('what has passed what is wanted has no day any more', () => {
  const { found } = trendOf([tested(0, 20), tested(5, 35), tested(10, 50)])
  expect(found?.trend.grows).toBe(true)
  expect(found?.reaches).toMatchObject({ at: null, earliest: new Date(BEGUN + 10 * WEEK).toISOString() })
})

test('tests from before the last change count for nothing, and without hours or a second day there is no line', () => {
  const all = [tested(0, 60), tested(5, 10), tested(10, 15)]
  const mended = trendOf(all, {
    touched: { at: new Date(BEGUN + 3 * WEEK).toISOString(), what: 'the locknut' },
  })
  expect(mended.before).toBe(1)
  expect(mended.tests.map(({ valueUm }) => valueUm)).toEqual([10, 15])
  expect(mended.found?.trend.slopeUmPer1000H).toBeCloseTo(100, 6)
  expect(trendOf(all, { lube: { ...AXIS.lube, hoursPerWeek: null } }).found).toBeNull()
  expect(trendOf([tested(0, 10)]).found).toBeNull()
  expect(trendOf([tested(0, 10), tested(0, 12, 'again')]).found).toBeNull()
  expect(trendOf([]).tests).toEqual([])
})

test('of lines through noise that goes nowhere one in forty grows, and the band holds the truth 19 times in 20', () => {
  const random = evenRandom(7)
  const normal = normalFrom(random)
  const RUNS = 2000
  let [grows, held] = [0, 0]
  for (let run = 0; run < RUNS; run++) {
    const points = Array.from({ length: 3 + (run % 4) }, (_, index): TrendPoint => {
      const standardUm = 0.5 + 2 * random()
      return { hours: 80 * index + 40 * random(), valueUm: 12 + standardUm * normal(), standardUm }
    })
    if (upkeepTrend({ points, targetUm: 30 }).grows) grows += 1
    const { valueUm, expandedUm } = onTrend(
      trendLine(points) as NonNullable<ReturnType<typeof trendLine>>,
      500,
    )
    if (Math.abs(valueUm - 12) <= expandedUm) held += 1
  }
  expect(grows / RUNS).toBeGreaterThan(0.012)
  expect(grows / RUNS).toBeLessThan(0.04)
  expect(held / RUNS).toBeGreaterThan(0.935)
  expect(held / RUNS).toBeLessThan(0.965)
})

test('tests that were all read at one time make no line', () => {
  const point = { hours: 5, valueUm: 3, standardUm: 1 }
  expect(() => upkeepTrend.compute({ points: [point, point], targetUm: 30 })).toThrow('two different times')
})
