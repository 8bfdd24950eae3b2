import { reversal } from './calculation'
import type { ReversalStation, ReversalTest } from './model'

/** Beyond this many readings from each side the answer is "close", not "read more". */
const MOST_READINGS = 30

/** The figures of one station; null while it has fewer than two readings from either side. */
export const stationReversal = (station: ReversalStation) =>
  station.approachPositiveUm.length < 2 || station.approachNegativeUm.length < 2 ? null : reversal(station)

/** What the readings of a station say against a target. */
export interface ReversalVerdict {
  state: 'holds' | 'close' | 'fails' | 'unknown'
  reversalUm: number
  standardUncertaintyUm: number
  /** More readings from each side that would settle it; 0 when it is settled, or cannot be settled so. */
  moreReadings: number
}

/**
 * Judges a reversal against its target, taking the uncertainty of the readings into account.
 *
 * It holds only when reversal plus twice its uncertainty is within the target, and fails only when reversal
 * less twice its uncertainty is beyond it. In between more readings are asked for when a sensible number of
 * them would settle it, since uncertainty falls with the square root of their number; else it is close.
 *
 * @returns the state, and how many more readings from each side to take
 * @example 20 um with an uncertainty of 6 um from 5 readings a side, target 30: take 3 more (2 x 6 x sqrt(5/8) = 9.5)
 */
export function judgeReversal(
  figures: { reversalUm: number; standardUncertaintyUm: number },
  readings: number,
  targetUm: number,
): ReversalVerdict {
  const { standardUncertaintyUm } = figures
  const reversalUm = Math.abs(figures.reversalUm)
  const settled = (state: ReversalVerdict['state']) => ({
    state,
    reversalUm,
    standardUncertaintyUm,
    moreReadings: 0,
  })
  const spreadUm = 2 * standardUncertaintyUm
  if (reversalUm + spreadUm <= targetUm) return settled('holds')
  if (reversalUm - spreadUm > targetUm) return settled('fails')
  const roomUm = Math.abs(targetUm - reversalUm)
  const needed = roomUm > 0 ? Math.ceil(readings * (spreadUm / roomUm) ** 2) : Number.POSITIVE_INFINITY
  if (needed > MOST_READINGS) return settled('close')
  return { ...settled('unknown'), moreReadings: Math.max(1, needed - readings) }
}

/** The station of a test that loses most, with its figures; null while no station has enough readings. */
export function stationLosingMost(test: ReversalTest) {
  const known = test.stations.flatMap(station => {
    const figures = stationReversal(station)
    return figures ? [{ station, figures }] : []
  })
  return known.length
    ? known.reduce((a, b) => (Math.abs(b.figures.reversalUm) > Math.abs(a.figures.reversalUm) ? b : a))
    : null
}

/** Fewest readings from a side at a station: what its uncertainty rests on. */
export const readingsPerSide = (station: ReversalStation) =>
  Math.min(station.approachPositiveUm.length, station.approachNegativeUm.length)

/** The station whose verdict is worst against a target: what a test as a whole is judged by. */
export function judgeTest(test: ReversalTest, targetUm: number) {
  const order = ['fails', 'close', 'unknown', 'holds'] as const
  const judged = test.stations.flatMap(station => {
    const figures = stationReversal(station)
    return figures
      ? [{ station, figures, verdict: judgeReversal(figures, readingsPerSide(station), targetUm) }]
      : []
  })
  return (
    judged.toSorted(
      (a, b) =>
        order.indexOf(a.verdict.state) - order.indexOf(b.verdict.state) ||
        b.verdict.reversalUm - a.verdict.reversalUm,
    )[0] ?? null
  )
}

/**
 * How much of a measured reversal the parts do not account for.
 *
 * @param reckonedUm the lost motion that the parts should have
 * @returns the rest, and whether it is more than the noise of the readings
 * @example unexplained({ reversalUm: 43.6, standardUncertaintyUm: 0.85 }, 9.3) // { um: 34.3, counts: true }
 */
export function unexplained(
  figures: { reversalUm: number; standardUncertaintyUm: number },
  reckonedUm: number,
) {
  const um = Math.abs(figures.reversalUm) - reckonedUm
  return { um, counts: um > 2 * figures.standardUncertaintyUm }
}

/** Before against after at one place, or between the worst places where no place was read in both tests. */
export interface Comparison {
  positionMm: number | null
  beforeUm: number
  afterUm: number
  differenceUm: number
  combinedUncertaintyUm: number
  /** Only a difference larger than twice its combined uncertainty counts. */
  counts: boolean
}

/** Two tests count as read at one place when their places are this near to each other. */
const SAME_PLACE_MM = 1

/**
 * Compares two tests, place by place where they share places.
 *
 * @returns one line a shared place; else one line for the worst places; empty while either test is unread
 */
export function compareTests(before: ReversalTest, after: ReversalTest): Comparison[] {
  const shared = before.stations.flatMap(first => {
    const second = after.stations.find(s => Math.abs(s.positionMm - first.positionMm) <= SAME_PLACE_MM)
    const a = stationReversal(first)
    const b = second && stationReversal(second)
    return a && b ? [compare(first.positionMm, a, b)] : []
  })
  if (shared.length) return shared
  const a = stationLosingMost(before)
  const b = stationLosingMost(after)
  return a && b ? [compare(null, a.figures, b.figures)] : []
}

type Figures = ReturnType<typeof reversal>

function compare(positionMm: number | null, a: Figures, b: Figures): Comparison {
  const beforeUm = Math.abs(a.reversalUm)
  const afterUm = Math.abs(b.reversalUm)
  const differenceUm = afterUm - beforeUm
  const combinedUncertaintyUm = Math.hypot(a.standardUncertaintyUm, b.standardUncertaintyUm)
  const counts = Math.abs(differenceUm) > 2 * combinedUncertaintyUm
  return { positionMm, beforeUm, afterUm, differenceUm, combinedUncertaintyUm, counts }
}
