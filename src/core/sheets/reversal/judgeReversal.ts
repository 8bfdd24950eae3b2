import { coverageFactor } from '../../calculation/studentLaw'
import { finerThanGauge, standApart } from '../../readings/plausible'
import { stationReversal } from '../shared/proofs/compare'
import { FEWEST_OF_A_TEST } from '../shared/proofs/fewReadings'
import type { reversal } from '../shared/proofs/reversal'
import type { ReversalStation, ReversalTest } from './model'

/** Beyond this many readings from each side the answer is "close", not "read more". */
const MOST_READINGS = 30
/**
 * The verdict is looked at after every reading, and chance has a go each time: so many times its uncertainty must the
 * reversal stay clear of the target, that one which stands at it is wrongly let through in 2.5 of 100 tests at most.
 */
const ONE_BY_ONE = 1.4

type Figures = ReturnType<typeof reversal>
type Read = Pick<Figures, 'reversalUm' | 'expandedUm' | 'repeatabilityPositiveUm' | 'repeatabilityNegativeUm'>

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
function expandedWith(figures: Read, readings: number, stepUm: number): number {
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
 * @param expandedUm what it is uncertain by with all that is known beside the readings; they alone where left out
 * @returns the state, and how many more readings from each side to take
 */
export function judgeReversal(
  figures: Read,
  readings: number,
  targetUm: number,
  stepUm: number,
  expandedUm: number = figures.expandedUm,
): ReversalVerdict {
  const reversalUm = Math.abs(figures.reversalUm)
  const verdict = (state: ReversalVerdict['state'], moreReadings = 0) => ({
    state,
    reversalUm,
    expandedUm,
    moreReadings,
  })
  if (readings < FEWEST_OF_A_TEST) return verdict('unknown', FEWEST_OF_A_TEST - readings)
  // Chance has its go at the readings alone: what stands beside them is the same at every look.
  const besideSquare = Math.max(expandedUm ** 2 - figures.expandedUm ** 2, 0)
  const guardWith = (readingsUm: number) => Math.sqrt((ONE_BY_ONE * readingsUm) ** 2 + besideSquare)
  const guardUm = guardWith(figures.expandedUm)
  if (reversalUm + guardUm <= targetUm) return verdict('holds')
  if (reversalUm - guardUm > targetUm) return verdict('fails')
  const roomUm = Math.abs(targetUm - reversalUm)
  const settles = (wanted: number) => guardWith(expandedWith(figures, wanted, stepUm)) <= roomUm
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

/**
 * Readings of a station that are finer than the gauge can show, or stand apart from their like.
 *
 * @param among how many the test has; as many as the station where left out
 */
export function oddReadings(station: ReversalStation, stepUm: number, among?: number): OddReading[] {
  const groups = SIDES.map(side => station[side])
  const apart = standApart(groups, stepUm, among ?? groups.flat().length)
  return SIDES.flatMap((side, group) => {
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
      ...apart.flatMap(one => (one.group === group ? [odd(one.index, 'apart')] : [])),
    ]
  })
}

/** How many readings a test has. */
export const readingsIn = ({ stations }: Pick<ReversalTest, 'stations'>): number =>
  stations.reduce((sum, one) => sum + one.approachPositiveUm.length + one.approachNegativeUm.length, 0)

/**
 * The station whose verdict is worst against a target: what a test as a whole is judged by.
 *
 * @param withAll what a station is uncertain by with all that is known; its readings alone where left out
 */
export function judgeTest(
  test: ReversalTest,
  targetUm: number,
  withAll: (station: ReversalStation, figures: Figures) => number = (_, { expandedUm }) => expandedUm,
) {
  const order = ['fails', 'close', 'unknown', 'holds'] as const
  const { gaugeStepUm } = test
  const judged = test.stations.flatMap(station => {
    const figures = stationReversal(station, gaugeStepUm)
    return figures
      ? [
          {
            station,
            figures,
            verdict: judgeReversal(
              figures,
              readingsPerSide(station),
              targetUm,
              gaugeStepUm ?? 0,
              withAll(station, figures),
            ),
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
