import { calculation } from '../../calculation/calculation'
import type { Axis } from '../../document/axis'
import { given, length, list, record, smallLength } from '../../field/field'
import { READING } from '../../readings/model'
import { MM_PER_INCH, type UnitSystem } from '../../units/quantity'
import { spreadOf } from '../shared/proofs/fewReadings'

const reading = given(READING)
const um = (label: string, symbol: string) => smallLength(label, {}, { symbol })

/**
 * Accuracy and repeatability of an axis that is come to at some targets from both sides.
 *
 * @example bidirectional({ positions: [{ targetMm: 0, positiveUm: [1, 3], negativeUm: [-3, -1] },
 *   { targetMm: 100, positiveUm: [5, 5], negativeUm: [1, 1] }] }).reversalUm // 4
 */
export const bidirectional = calculation({
  id: 'prove.bidirectional',
  title: 'Bidirectional accuracy and repeatability',
  formula:
    'B = mean(x+) - mean(x-); R = max(2 s+ + 2 s- + |B|, 4 s+, 4 s-); M = range of (mean(x+) + mean(x-)) / 2; E = range of all means; A = max(mean + 2 s) - min(mean - 2 s)',
  source: 'ISO 230-2',
  validity: 'Five targets or more, unevenly spaced, and five runs each way or more; fewer is a quick test',
  inputs: {
    positions: list(
      'targets',
      record('target', {
        targetMm: length('target', {}, { symbol: 'P' }),
        positiveUm: list('deviations, come to upward', reading, 2),
        negativeUm: list('deviations, come to downward', reading, 2),
      }),
      2,
    ),
  },
  outputs: {
    reversalUm: um('reversal, the largest', 'B'),
    meanReversalUm: um('reversal, mean', 'Bm'),
    meanDeviationRangeUm: um('range of the mean deviation', 'M'),
    systematicDeviationUm: um('systematic deviation', 'E'),
    repeatabilityPositiveUm: um('repeatability upward', 'R+'),
    repeatabilityNegativeUm: um('repeatability downward', 'R-'),
    repeatabilityUm: um('repeatability, both ways', 'R'),
    accuracyUm: um('accuracy, both ways', 'A'),
  },
  compute({ positions }) {
    const stations = positions.map(stationOf)
    const means = stations.flatMap(({ up, down }) => [up.mean, down.mean])
    const middles = stations.map(({ up, down }) => (up.mean + down.mean) / 2)
    const sides = stations.flatMap(({ up, down }) => [up, down])
    const range = (values: readonly number[]) => Math.max(...values) - Math.min(...values)
    return {
      reversalUm: Math.max(...stations.map(({ reversalUm }) => Math.abs(reversalUm))),
      meanReversalUm: stations.reduce((sum, { reversalUm }) => sum + reversalUm, 0) / stations.length,
      meanDeviationRangeUm: range(middles),
      systematicDeviationUm: range(means),
      repeatabilityPositiveUm: Math.max(...stations.map(({ up }) => 4 * up.deviation)),
      repeatabilityNegativeUm: Math.max(...stations.map(({ down }) => 4 * down.deviation)),
      repeatabilityUm: Math.max(...stations.map(({ repeatabilityUm }) => repeatabilityUm)),
      accuracyUm:
        Math.max(...sides.map(({ mean, deviation }) => mean + 2 * deviation)) -
        Math.min(...sides.map(({ mean, deviation }) => mean - 2 * deviation)),
    }
  },
})

interface Read {
  positiveUm: readonly number[]
  negativeUm: readonly number[]
}

/**
 * Mean, spread and reversal at one target.
 *
 * @example stationOf({ positiveUm: [1, 3], negativeUm: [-3, -1] }).reversalUm // 4
 */
export function stationOf({ positiveUm, negativeUm }: Read) {
  const [up, down] = [spreadOf(positiveUm), spreadOf(negativeUm)]
  const reversalUm = up.mean - down.mean
  return {
    up,
    down,
    reversalUm,
    repeatabilityUm: Math.max(
      2 * up.deviation + 2 * down.deviation + Math.abs(reversalUm),
      4 * up.deviation,
      4 * down.deviation,
    ),
  }
}

const GOLDEN = (Math.sqrt(5) - 1) / 2

/** A target in an inch job stands on the hundredth of an inch, as one types it; else on the hundredth of a millimetre. */
const GRID_MM = { mm: 0.01, inch: 0.01 * MM_PER_INCH } as const

/**
 * Targets spread over a travel, unevenly: each stands at another angle of the screw, so that what the screw is off once a
 * turn is not met in the same place every time.
 *
 * @param fromMm first place that the slide may be read at, and `toMm` the last
 * @param leadMm of the screw; where it is not known, a twentieth of the travel is taken
 * @returns rising places on round figures of the units
 * @example unevenTargets(10, 390, 5, 5) // [10, 104.93, 201.77, 293.61, 390]
 */
export function unevenTargets(
  fromMm: number,
  toMm: number,
  count: number,
  leadMm: number | null,
  units: UnitSystem = 'mm',
): number[] {
  const turnMm = Math.min(leadMm ?? (toMm - fromMm) / 20, (toMm - fromMm) / count / 2)
  const pitchMm = (toMm - fromMm - turnMm) / Math.max(1, count - 1)
  const gridMm = GRID_MM[units]
  return Array.from({ length: count }, (_, index) => {
    // The first and the last stand at the ends, and no further out.
    const part = index === 0 ? 0 : index === count - 1 ? 1 : ((index + 1) * GOLDEN) % 1
    const placeMm = (fromMm + index * pitchMm + part * turnMm) / gridMm
    const steps =
      index === 0
        ? Math.ceil(placeMm - 1e-9)
        : index === count - 1
          ? Math.floor(placeMm + 1e-9)
          : Math.round(placeMm)
    return Math.round(steps * gridMm * 1e6) / 1e6
  })
}

/** So much of the travel is left at either end: room to come to the first and the last target from their own sides. */
const LEFT_MM = 5

/** Targets for an axis, over its travel as ways and screw leave it, or while nobody has measured that, as it is wanted. */
export function targetsFor(
  axis: Axis,
  travelMm: number | null,
  count: number,
  leadMm: number | null,
  units: UnitSystem,
): number[] {
  const overMm = travelMm ?? axis.goals.wantedTravelMm
  const leftMm = Math.min(LEFT_MM, overMm / 20)
  return unevenTargets(leftMm, overMm - leftMm, count, leadMm, units)
}
