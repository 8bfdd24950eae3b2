import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { AT_95 } from '../../calculation/studentLaw'
import { flag, hours, list, record, smallLength, wearRate } from '../../field/field'

const PER = 1000

/** A figure after so many hours of running. */
export interface TrendPoint {
  hours: number
  valueUm: number
  standardUm: number
}

/** The straight line that goes best with figures of known uncertainty. */
export interface TrendLine {
  /** At its middle: where it is known best. */
  middleHours: number
  middleUm: number
  middleStandardUm: number
  slopeUmPerHour: number
  standardUmPerHour: number
}

/** @returns null where all were read at one time */
export function trendLine(points: readonly TrendPoint[]): TrendLine | null {
  let [weights, hoursSum, valuesSum] = [0, 0, 0]
  for (const { hours: at, valueUm, standardUm } of points) {
    const weight = 1 / standardUm ** 2
    weights += weight
    hoursSum += weight * at
    valuesSum += weight * valueUm
  }
  const [middleHours, middleUm] = [hoursSum / weights, valuesSum / weights]
  let [squares, products] = [0, 0]
  for (const { hours: at, valueUm, standardUm } of points) {
    const along = (at - middleHours) / standardUm ** 2
    squares += along * (at - middleHours)
    products += along * (valueUm - middleUm)
  }
  if (!(squares > 0)) return null
  return {
    middleHours,
    middleUm,
    middleStandardUm: 1 / Math.sqrt(weights),
    slopeUmPerHour: products / squares,
    standardUmPerHour: 1 / Math.sqrt(squares),
  }
}

/** What a line says at a time, and what that is uncertain by at 95 %. */
export function onTrend(line: TrendLine, at: number): { valueUm: number; expandedUm: number } {
  const away = at - line.middleHours
  return {
    valueUm: line.middleUm + line.slopeUmPerHour * away,
    expandedUm: AT_95 * Math.hypot(line.middleStandardUm, line.standardUmPerHour * away),
  }
}

/**
 * How a figure grows as a machine runs, and when it reaches what is wanted.
 *
 * @throws InputError where all figures were read at one time
 * @example upkeepTrend({ points: [{ hours: 0, valueUm: 9.9, standardUm: 0.8 }, { hours: 60, valueUm: 8.3, standardUm: 1.2 },
 *   { hours: 200, valueUm: 9.8, standardUm: 1.2 }, { hours: 420, valueUm: 15.6, standardUm: 0.8 }], targetUm: 30 }).reachesHours // 1430
 */
export const upkeepTrend = calculation({
  id: 'upkeep.trend',
  title: 'Trend as it runs',
  formula:
    'straight line through the tests, each weighted by 1 / u^2; it grows where b is more than 1.959964 of its standard error; t1 is where it reaches T',
  source: 'Weighted least squares with known uncertainties',
  validity:
    'Tests that were read alike, with nothing changed between them; wear that speeds up is told too late by a straight line',
  inputs: {
    points: list(
      'tests',
      record('test', {
        hours: hours('after so many hours', { min: 0 }, { symbol: 't' }),
        valueUm: smallLength('figure', {}, { symbol: 'B' }),
        standardUm: smallLength('standard uncertainty', { over: 0 }, { symbol: 'u' }),
      }),
      2,
    ),
    targetUm: smallLength('what is wanted', { over: 0 }, { symbol: 'T' }),
  },
  outputs: {
    slopeUmPer1000H: wearRate('growth', {}, { symbol: 'b' }),
    standardUmPer1000H: wearRate('standard error of it', {}, { symbol: 'ub' }),
    grows: flag('more than can come of the readings'),
    reachesHours: hours('reaches what is wanted after', {}, { symbol: 't1', orNone: true }),
  },
  compute({ points, targetUm }) {
    const line = trendLine(points)
    if (!line) throw new InputError('points', points, 'tests at two different times at least')
    const grows = line.slopeUmPerHour > AT_95 * line.standardUmPerHour
    return {
      slopeUmPer1000H: line.slopeUmPerHour * PER,
      standardUmPer1000H: line.standardUmPerHour * PER,
      grows,
      reachesHours: grows ? line.middleHours + (targetUm - line.middleUm) / line.slopeUmPerHour : null,
    }
  },
})
