import { reversal, reversalDifference } from './reversal'

/** A place that was come to from both sides, in a reversal test or a full one. */
export interface Station {
  positionMm: number
  approachPositiveUm: number[]
  approachNegativeUm: number[]
}
/** A test as far as it is compared: its places, and the step of its gauge. */
export interface Tested {
  gaugeStepUm: number | null
  stations: readonly Station[]
}

/** A full test as one of reversals: its targets are the places. */
export const reversalsOf = ({
  gaugeStepUm,
  targets,
}: {
  gaugeStepUm: number | null
  targets: readonly { targetMm: number; positiveUm: number[]; negativeUm: number[] }[]
}): Tested => ({
  gaugeStepUm,
  stations: targets.map(({ targetMm, positiveUm, negativeUm }) => ({
    positionMm: targetMm,
    approachPositiveUm: positiveUm,
    approachNegativeUm: negativeUm,
  })),
})

/** The figures of one station; null while it has fewer than two readings from either side. */
export const stationReversal = (
  station: Station,
  stepUm: number | null,
): ReturnType<typeof reversal> | null =>
  station.approachPositiveUm.length < 2 || station.approachNegativeUm.length < 2
    ? null
    : reversal({
        approachPositiveUm: station.approachPositiveUm,
        approachNegativeUm: station.approachNegativeUm,
        resolutionUm: stepUm ?? 0,
      })

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
function stationLosingMost(test: Tested): Station | null {
  const lost = (station: Station) => Math.abs(stationReversal(station, test.gaugeStepUm)?.reversalUm ?? -1)
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
export function compareTests(before: Tested, after: Tested): Comparison[] {
  // The coarser of the two gauges is what both can be told apart by.
  const stepUm = Math.max(before.gaugeStepUm ?? 0, after.gaugeStepUm ?? 0)
  const read = (station: Station | undefined): station is Station =>
    station !== undefined && stationReversal(station, stepUm) !== null
  const shared = before.stations.flatMap(first => {
    const second = after.stations.find(s => Math.abs(s.positionMm - first.positionMm) <= SAME_PLACE_MM)
    return read(first) && read(second) ? [compare(first.positionMm, first, second, stepUm)] : []
  })
  if (shared.length) return shared
  const [a, b] = [stationLosingMost(before), stationLosingMost(after)]
  return a && b ? [compare(null, a, b, stepUm)] : []
}

function compare(positionMm: number | null, a: Station, b: Station, stepUm: number): Comparison {
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
