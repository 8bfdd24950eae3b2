import { coverageFactor } from '../../calculation/studentLaw'
import { finerThanGauge, standApart } from '../../machine/plausible'
import { FEWEST_OF_A_TEST } from '../../machine/prove/fewReadings'
import { reversal, reversalDifference } from '../../machine/prove/reversal'
import type { ReversalStation, ReversalTest } from './model'

/** Beyond this many readings from each side the answer is "close", not "read more". */
const MOST_READINGS = 30
/**
 * The verdict is looked at after every reading, and chance has a go each time: so many times its uncertainty must the
 * reversal stay clear of the target, that one which stands at it is wrongly let through in 2.5 of 100 tests at most.
 */
const ONE_BY_ONE = 1.4

type Figures = ReturnType<typeof reversal>

/** The figures of one station; null while it has fewer than two readings from either side. */
export const stationReversal = (station: ReversalStation, stepUm: number | null): Figures | null =>
  station.approachPositiveUm.length < 2 || station.approachNegativeUm.length < 2
    ? null
    : reversal({
        approachPositiveUm: station.approachPositiveUm,
        approachNegativeUm: station.approachNegativeUm,
        resolutionUm: stepUm ?? 0,
      })

/** What the readings of a station say against a target. */
export interface ReversalVerdict {
  state: 'holds' | 'close' | 'fails' | 'unknown'
  reversalUm: number
  /** To each side, at 95 %. */
  expandedUm: number
  /** More readings from each side that would settle it; 0 when it is settled, or cannot be settled so. */
  moreReadings: number
}

/** What the uncertainty would be with so many readings from each side, spread as they are now. */
function expandedWith(figures: Figures, readings: number, stepUm: number): number {
  const variance = (figures.repeatabilityPositiveUm / 4) ** 2 + (figures.repeatabilityNegativeUm / 4) ** 2
  const square = variance / readings + (2 * stepUm ** 2) / 12
  const spread = variance / readings
  const degrees = (square ** 2 / spread ** 2) * (readings - 1)
  return coverageFactor(0.95, Number.isFinite(degrees) ? degrees : null) * Math.sqrt(square)
}

/**
 * Judges a reversal against its target, taking the uncertainty of the readings into account.
 *
 * It holds only when the reversal is within the target by more than chance gives over a whole test, and fails only when it is
 * beyond it by as much, from five readings a side on. In between more readings are asked for when a sensible number of them would
 * settle it; else it is close.
 *
 * @param readings from a side, of the side with fewer
 * @param stepUm of the gauge
 * @returns the state, and how many more readings from each side to take
 */
export function judgeReversal(
  figures: Figures,
  readings: number,
  targetUm: number,
  stepUm: number,
): ReversalVerdict {
  const { expandedUm } = figures
  const reversalUm = Math.abs(figures.reversalUm)
  const verdict = (state: ReversalVerdict['state'], moreReadings = 0) => ({
    state,
    reversalUm,
    expandedUm,
    moreReadings,
  })
  if (readings < FEWEST_OF_A_TEST) return verdict('unknown', FEWEST_OF_A_TEST - readings)
  const guardUm = ONE_BY_ONE * expandedUm
  if (reversalUm + guardUm <= targetUm) return verdict('holds')
  if (reversalUm - guardUm > targetUm) return verdict('fails')
  const roomUm = Math.abs(targetUm - reversalUm)
  const settles = (wanted: number) => ONE_BY_ONE * expandedWith(figures, wanted, stepUm) <= roomUm
  if (readings >= MOST_READINGS || !settles(MOST_READINGS)) return verdict('close')
  // More readings never make it less certain, so the fewest that do are found by halving.
  let few = readings
  let enough = MOST_READINGS
  while (enough - few > 1) {
    const middle = (few + enough) >> 1
    if (settles(middle)) enough = middle
    else few = middle
  }
  return verdict('unknown', enough - readings)
}

/** Fewest readings from a side at a station: what its uncertainty rests on. */
export const readingsPerSide = (station: ReversalStation) =>
  Math.min(station.approachPositiveUm.length, station.approachNegativeUm.length)

const SIDES = ['approachPositiveUm', 'approachNegativeUm'] as const

/** A reading that is not what the gauge or the rest say: where it is, and what is odd about it. */
export interface OddReading {
  station: ReversalStation
  side: (typeof SIDES)[number]
  index: number
  readingUm: number
  why: 'finer' | 'apart'
}

/** Readings of a station that are finer than the gauge can show, or stand apart from their like. */
export function oddReadings(station: ReversalStation, stepUm: number): OddReading[] {
  return SIDES.flatMap(side => {
    const readings = station[side]
    const odd = (index: number, why: OddReading['why']): OddReading => ({
      station,
      side,
      index,
      readingUm: readings[index] as number,
      why,
    })
    return [
      ...readings.flatMap((one, index) => (finerThanGauge(one, stepUm) ? [odd(index, 'finer')] : [])),
      ...standApart(readings, stepUm).map(index => odd(index, 'apart')),
    ]
  })
}

/** The station whose verdict is worst against a target: what a test as a whole is judged by. */
export function judgeTest(test: ReversalTest, targetUm: number) {
  const order = ['fails', 'close', 'unknown', 'holds'] as const
  const { gaugeStepUm } = test
  const judged = test.stations.flatMap(station => {
    const figures = stationReversal(station, gaugeStepUm)
    return figures
      ? [
          {
            station,
            figures,
            verdict: judgeReversal(figures, readingsPerSide(station), targetUm, gaugeStepUm ?? 0),
          },
        ]
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
 * @returns the rest, and whether it is more than the readings are uncertain by
 * @example unexplained({ reversalUm: 43.6, expandedUm: 1.9 }, 9.3) // { um: 34.3, counts: true }
 */
export function unexplained(figures: Pick<Figures, 'reversalUm' | 'expandedUm'>, reckonedUm: number) {
  const um = Math.abs(figures.reversalUm) - reckonedUm
  return { um, counts: um > figures.expandedUm }
}

/** Before against after at one place, or between the worst places where no place was read in both tests. */
export interface Comparison {
  positionMm: number | null
  beforeUm: number
  afterUm: number
  differenceUm: number
  /** To each side, at 95 %. */
  expandedUm: number
  /** Only a difference larger than its uncertainty counts, and only where that is known. */
  counts: boolean
}

/** Two tests count as read at one place when their places are this near to each other. */
const SAME_PLACE_MM = 1

/** The station of a test that loses most; null while no station has enough readings. */
function stationLosingMost(test: ReversalTest): ReversalStation | null {
  const lost = (station: ReversalStation) =>
    Math.abs(stationReversal(station, test.gaugeStepUm)?.reversalUm ?? -1)
  return (
    test.stations
      .filter(station => stationReversal(station, test.gaugeStepUm))
      .toSorted((a, b) => lost(b) - lost(a))[0] ?? null
  )
}

/**
 * Compares two tests, place by place where they share places.
 *
 * @returns one line a shared place; else one line for the worst places; empty while either test is unread
 */
export function compareTests(before: ReversalTest, after: ReversalTest): Comparison[] {
  // The coarser of the two gauges is what both can be told apart by.
  const stepUm = Math.max(before.gaugeStepUm ?? 0, after.gaugeStepUm ?? 0)
  const read = (station: ReversalStation | undefined): station is ReversalStation =>
    station !== undefined && stationReversal(station, stepUm) !== null
  const shared = before.stations.flatMap(first => {
    const second = after.stations.find(s => Math.abs(s.positionMm - first.positionMm) <= SAME_PLACE_MM)
    return read(first) && read(second) ? [compare(first.positionMm, first, second, stepUm)] : []
  })
  if (shared.length) return shared
  const [a, b] = [stationLosingMost(before), stationLosingMost(after)]
  return a && b ? [compare(null, a, b, stepUm)] : []
}

function compare(
  positionMm: number | null,
  a: ReversalStation,
  b: ReversalStation,
  stepUm: number,
): Comparison {
  const { beforeUm, afterUm, differenceUm, standardUncertaintyUm, coverageFactor, counts } =
    reversalDifference({
      beforePositiveUm: a.approachPositiveUm,
      beforeNegativeUm: a.approachNegativeUm,
      afterPositiveUm: b.approachPositiveUm,
      afterNegativeUm: b.approachNegativeUm,
      resolutionUm: stepUm,
    })
  const expandedUm = coverageFactor * standardUncertaintyUm
  // Readings all alike, by a gauge whose step nobody entered, say nothing of how sure they are.
  return { positionMm, beforeUm, afterUm, differenceUm, expandedUm, counts: counts && expandedUm > 0 }
}
