import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { given, length, list, record, smallLength } from '../../field/field'
import { READING } from '../../readings/model'
import { meanOf } from '../shared/proofs/fewReadings'
import { COMPENSATION } from './model'

const reading = given(READING)
/** A grid of more lines than this no controller takes. */
const MOST_LINES = 5000

interface Point {
  positionMm: number
  um: number
}

/**
 * A value at a place, straight between points that rise, and flat beyond the first and the last.
 *
 * @example between([{ positionMm: 0, um: 0 }, { positionMm: 10, um: 5 }], 4) // 2
 */
export function between(points: readonly Point[], positionMm: number): number {
  const next = points.findIndex(one => one.positionMm >= positionMm)
  const [before, after] = [points[next - 1], points[next]]
  if (!after) return (points.at(-1) as Point).um
  if (!before) return after.um
  const share = (positionMm - before.positionMm) / (after.positionMm - before.positionMm)
  return before.um + share * (after.um - before.um)
}

/**
 * Backlash and a table of corrections out of a full test, and what would be left of its means with them.
 *
 * @throws InputError when two targets stand at one place, or the grid has no end
 * @example compensationOf({ positions: [{ targetMm: 0, positiveUm: [6], negativeUm: [-4] },
 *   { targetMm: 20, positiveUm: [16], negativeUm: [6] }], spacingMm: 20 }).backlashUm // 10
 */
export const compensationOf = calculation({
  id: 'prove.compensation',
  title: 'Backlash and corrections',
  formula:
    'b = mean of (mean(x+) - mean(x-)); c = - (mean(x+) + mean(x-)) / 2, straight between targets; residual = range of all means after both',
  source: 'What a controller adds by itself: half the backlash each way, and the correction of the grid',
  validity: 'A play that is the same at every place, force and speed; mend first, compensate last',
  inputs: {
    positions: list(
      'targets',
      record('target', {
        targetMm: length('target', {}, { symbol: 'P' }),
        positiveUm: list('deviations, come to upward', reading),
        negativeUm: list('deviations, come to downward', reading),
      }),
      2,
    ),
    spacingMm: given(COMPENSATION.of.spacingMm),
  },
  outputs: {
    backlashUm: smallLength('backlash', {}, { symbol: 'b' }),
    corrections: list(
      'corrections',
      record('correction', {
        positionMm: length('at', {}, { symbol: 'p' }),
        correctionUm: smallLength('correction', {}, { symbol: 'c' }),
      }),
    ),
    residualUm: smallLength('left of the means', {}, { symbol: 'r' }),
  },
  compute({ positions, spacingMm }) {
    const stations = positions
      .map(({ targetMm, positiveUm, negativeUm }) => ({
        positionMm: targetMm,
        up: meanOf(positiveUm),
        down: meanOf(negativeUm),
      }))
      .toSorted((a, b) => a.positionMm - b.positionMm)
    if (new Set(stations.map(({ positionMm }) => positionMm)).size < stations.length)
      throw new InputError('positions', positions, 'targets at different places')
    const [first, last] = [stations[0], stations.at(-1)] as [(typeof stations)[0], (typeof stations)[0]]
    const lines = Math.floor((last.positionMm - first.positionMm) / spacingMm + 1e-9) + 1
    if (lines > MOST_LINES)
      throw new InputError('spacingMm', spacingMm, `a grid of ${MOST_LINES} lines at most`)
    const backlashUm = meanOf(stations.map(({ up, down }) => up - down))
    const errors = stations.map(({ positionMm, up, down }) => ({ positionMm, um: (up + down) / 2 }))
    const corrections = Array.from({ length: lines }, (_, index) => {
      const positionMm = first.positionMm + index * spacingMm
      return { positionMm, correctionUm: -between(errors, positionMm) }
    })
    const grid = corrections.map(({ positionMm, correctionUm }) => ({ positionMm, um: correctionUm }))
    const left = stations.flatMap(({ positionMm, up, down }) => {
      const correctionUm = between(grid, positionMm)
      return [up + correctionUm - backlashUm / 2, down + correctionUm + backlashUm / 2]
    })
    return { backlashUm, corrections, residualUm: Math.max(...left) - Math.min(...left) }
  },
})
