import { calculation } from '../calculation/calculation'
import { coverageFactor } from '../calculation/studentLaw'
import type { Axis } from '../document/axis'
import type { DimensionKey } from '../document/dimensions'
import { list, plain } from '../field/field'
import { isToBeMade } from './stillToMeasure'

// Castings of one model differ. What was read on those before says what the next one may measure, and how far that is known.

/**
 * What the next of a kind may measure, by those that were read: the mean, and how far to each side of it the next one lies
 * with the given confidence.
 *
 * @throws InputError with fewer than two values
 * @example nextOfKind({ values: [60.54, 61.05], confidence: 0.95 }).halfWidth // 5.61
 */
export const nextOfKind = calculation({
  id: 'spread.next',
  title: 'What the next casting may measure',
  formula: 'h = t s sqrt(1 + 1/n), t of Student with n - 1 degrees',
  source: 'Prediction interval of one more value of a normal law',
  validity: 'Values that fall by chance about one mean; two of them tell little, and the band says so',
  inputs: {
    values: list('values', plain('value', {}), 2),
    confidence: plain('confidence', { over: 0, below: 1 }, { symbol: 'p' }),
  },
  outputs: {
    mean: plain('mean', {}, { symbol: 'm' }),
    standard: plain('standard deviation of one', { min: 0 }, { symbol: 's' }),
    halfWidth: plain('half the width of the band', { min: 0 }, { symbol: 'h' }),
  },
  compute({ values, confidence }) {
    const count = values.length
    const mean = values.reduce((sum, value) => sum + value, 0) / count
    const standard = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (count - 1))
    return {
      mean,
      standard,
      halfWidth: coverageFactor(confidence, count - 1) * standard * Math.sqrt(1 + 1 / count),
    }
  },
})

/** What was read of a dimension on a machine before. */
export interface ReadBefore {
  machine: string
  value: number
}

/** What was read of a dimension on the machines before, newest first; those on which nobody read it are passed over. */
export function readBefore({ ofLast }: Pick<Axis, 'ofLast'>, key: DimensionKey): ReadBefore[] {
  if (!ofLast) return []
  return [ofLast, ...ofLast.before].flatMap(({ machine, dimensions: { [key]: value } }) =>
    value === null ? [] : [{ machine, value }],
  )
}

/** What the next casting is expected to measure, 19 times in 20, by so many machines. */
export interface Expected {
  machines: number
  mean: number
  halfWidth: number
}

/** So often a band is meant to hold what is read; and what hardly ever falls out of it is a slip. */
const AS_A_RULE = 0.95
const HARDLY_EVER = 0.99

/**
 * What figures of several machines make one expect of the next.
 *
 * @returns null with fewer than two, and where all are alike: then nothing is known of how they spread
 * @example expectedBy([60.54, 61.05]) // { machines: 2, mean: 60.795, halfWidth: 5.61 }
 */
export function expectedBy(values: readonly number[], confidence = AS_A_RULE): Expected | null {
  if (values.length < 2 || values.every(value => value === values[0])) return null
  const { mean, halfWidth } = nextOfKind({ values: [...values], confidence })
  return { machines: values.length, mean, halfWidth }
}

/**
 * What the machines before make one expect of a dimension.
 *
 * @returns null where `expectedBy` has none, and for what the conversion makes, which follows from its plan
 */
export function expectedOf(
  axis: Pick<Axis, 'ofLast'>,
  key: DimensionKey,
  confidence = AS_A_RULE,
): Expected | null {
  if (isToBeMade(key)) return null
  return expectedBy(
    readBefore(axis, key).map(({ value }) => value),
    confidence,
  )
}

/**
 * What the machines before make one expect, where a reading lies as far off it as one in a hundred would: either this casting
 * is another, or the reading slipped; null where it does not.
 */
export function unlikeOthers(axis: Pick<Axis, 'ofLast'>, key: DimensionKey, value: number): Expected | null {
  const expected = expectedOf(axis, key, HARDLY_EVER)
  return expected && Math.abs(value - expected.mean) > expected.halfWidth ? expected : null
}

/**
 * What the machines before make one expect of a dimension that nobody has read on this one yet; null where it was read or is
 * planned, and where they say nothing.
 */
export function expectedUntilRead(
  axis: Pick<Axis, 'ofLast' | 'dimensions'>,
  key: DimensionKey,
): Expected | null {
  const { value, provenance } = axis.dimensions[key]
  return value === null || provenance === 'assumed' ? expectedOf(axis, key) : null
}

/**
 * On how many machines what is expected rests, as a sentence begins.
 *
 * @example byMachines([3, 2]) // 'By 2 machines before, which tell little yet'
 */
export function byMachines(counts: readonly number[]): string {
  const least = Math.min(...counts)
  return `By ${least} machines before${least === 2 ? ', which tell little yet' : ''}`
}
