import type { EvaluationContext } from '../../evaluation/context'
import { lastChange } from '../shared/proofs/age'
import { stationReversal, type Tested } from '../shared/proofs/compare'
import { isPractice } from '../shared/proofs/practice'
import { onTrend, type TrendLine, type TrendPoint, trendLine, upkeepTrend } from './calculation'

const WEEK_MS = 7 * 86_400_000
/** A gauge is not read better than to a part of its step, nor play known better than to this. */
const LEAST_UM = 0.3

/** A test as a point of the trend. */
export interface TrendTest extends TrendPoint {
  id: string
  label: string
  startedAt: string
}

/** What the tests of an axis say of how its play grows. */
export interface PlayTrend {
  /** The tests that count, oldest first. */
  tests: readonly TrendTest[]
  /** How many were read before the last change of the axis: they say nothing of how it wears now. */
  before: number
  /** When the last change was; null where there was none. */
  changedAt: string | null
  /** Null while there are not two tests at different times, or nobody has said how much the axis runs. */
  found: { line: TrendLine; trend: ReturnType<typeof upkeepTrend>; reaches: Reached | null } | null
}

/** When the play reaches what is wanted: as the line has it, and at the earliest. */
export interface Reached {
  /** As `2027-03-01T…`; null where the line has long passed it. */
  at: string | null
  /** From when on it may have: where the upper edge of the band reaches it. */
  earliest: string
}

/** The largest reversal of a test, with its standard uncertainty; null while no place has enough readings. */
function worstOf({ stations, gaugeStepUm }: Tested): Pick<TrendPoint, 'valueUm' | 'standardUm'> | null {
  const read = stations.flatMap(station => stationReversal(station, gaugeStepUm) ?? [])
  if (read.length === 0) return null
  const worst = read.reduce((most, one) =>
    Math.abs(one.reversalUm) > Math.abs(most.reversalUm) ? one : most,
  )
  return {
    valueUm: Math.abs(worst.reversalUm),
    standardUm: Math.max(worst.standardUncertaintyUm, (gaugeStepUm ?? 0) / Math.sqrt(12), LEAST_UM),
  }
}

/**
 * How the play of an axis grows with the hours that it runs, by its tests since the last change of it.
 *
 * @param all its tests, oldest first, each as it counts
 */
export function playTrendOf(
  t: EvaluationContext,
  all: readonly (Tested & { id: string; label: string; startedAt: string })[],
): PlayTrend {
  const changedAt = lastChange(t.axis)?.at ?? null
  const read = all.flatMap(test => {
    const worst = isPractice(test) ? null : worstOf(test)
    return worst ? [{ id: test.id, label: test.label, startedAt: test.startedAt, ...worst }] : []
  })
  const since = read.filter(({ startedAt }) => changedAt === null || startedAt >= changedAt)
  const { hoursPerWeek } = t.axis.lube
  const begun = Date.parse(since[0]?.startedAt ?? '')
  const tests = since.map(
    (test): TrendTest => ({
      ...test,
      hours: ((hoursPerWeek ?? 0) * (Date.parse(test.startedAt) - begun)) / WEEK_MS,
    }),
  )
  return {
    tests,
    before: read.length - since.length,
    changedAt,
    found: hoursPerWeek === null ? null : foundIn(t, tests, hoursPerWeek),
  }
}

function foundIn(
  t: EvaluationContext,
  tests: readonly TrendTest[],
  hoursPerWeek: number,
): PlayTrend['found'] {
  const points = tests.map(({ hours, valueUm, standardUm }) => ({ hours, valueUm, standardUm }))
  const line = points.length < 2 ? null : trendLine(points)
  if (!line) return null
  const targetUm = t.axis.goals.backlashTargetUm
  const trend = t.figure('playTrend', upkeepTrend, { points, targetUm })
  const begun = Date.parse(tests[0]?.startedAt ?? '')
  const dayOf = (hours: number) => new Date(begun + (hours / hoursPerWeek) * WEEK_MS).toISOString()
  const { reachesHours } = trend
  if (reachesHours === null) return { line, trend, reaches: null }
  const last = tests.at(-1)?.hours ?? 0
  return {
    line,
    trend,
    reaches: {
      at: reachesHours > last ? dayOf(reachesHours) : null,
      earliest: dayOf(earliestHours(line, targetUm, last, reachesHours)),
    },
  }
}

/** After how many hours the upper edge of the band reaches a figure, from the last test on. */
function earliestHours(line: TrendLine, targetUm: number, last: number, reaches: number): number {
  const upper = (hours: number) => {
    const { valueUm, expandedUm } = onTrend(line, hours)
    return valueUm + expandedUm
  }
  let [low, high] = [last, Math.max(last, reaches)]
  if (upper(low) >= targetUm) return low
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2
    if (upper(middle) < targetUm) low = middle
    else high = middle
  }
  return high
}
