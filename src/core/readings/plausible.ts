import { leastSquares } from '../calculation/leastSquares'
import { coverageFactor } from '../calculation/studentLaw'

/** A hand reads a dial to a fifth of its mark; what is finer than this share of it was typed in another unit. */
const FINEST_SHARE = 0.1

/**
 * Whether a reading is finer than its gauge can show: other than nothing, and less than a tenth of its step.
 *
 * @example finerThanGauge(0.0254, 10) // true: a thousandth of a thou on a dial of hundredths
 */
export const finerThanGauge = (readingUm: number, stepUm: number): boolean =>
  readingUm !== 0 && Math.abs(readingUm) < FINEST_SHARE * stepUm

/** A reading this many robust deviations from the middle of its like stands apart. */
const APART = 5

/** The middle one of some values; of an even number, the mean of the two in the middle. */
export const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((a, b) => a - b)
  const middle = sorted.length >> 1
  return sorted.length % 2
    ? (sorted[middle] as number)
    : ((sorted[middle - 1] as number) + (sorted[middle] as number)) / 2
}

/**
 * Which of some repeated readings stand apart from the rest: a slip of typing, or a bump. They are marked, never left
 * out.
 *
 * @param stepUm the least that readings are taken to spread by: the step of their gauge
 * @returns their places in the list; none where fewer than four readings say what is usual
 * @example standApart([24, 22, 25, 230, 24], 1) // [3]
 */
export function standApart(readingsUm: readonly number[], stepUm: number): number[] {
  if (readingsUm.length < 4) return []
  const middle = median(readingsUm)
  // The median deviation of a normal law is 0.6745 of its standard deviation.
  const spread = Math.max(median(readingsUm.map(one => Math.abs(one - middle))) / 0.6745, stepUm / 2, 1e-9)
  return readingsUm.flatMap((one, index) => (Math.abs(one - middle) > APART * spread ? [index] : []))
}

/** A reading stands off where so sure a bound for any of its round does not reach it, nor this many steps. */
const OFF_CONFIDENCE = 0.99
const OFF_STEPS = 4

/** A reading whose leverage leaves less than this free is the only one that tells something: the others say nothing of it. */
const ALONE = 1e-9

/** How much of a reading its own fit is made of: 1 where nothing else tells what it tells. */
function leverageOf(inverse: readonly (readonly number[])[], row: readonly number[]): number {
  let sum = 0
  for (let column = 0; column < row.length; column++) {
    let along = 0
    for (let at = 0; at < row.length; at++)
      along += (row[at] as number) * ((inverse[at] as readonly number[])[column] as number)
    sum += along ** 2
  }
  return sum
}

/**
 * The reading that lies furthest off what fits all the others, where it lies too far off for a reading like them.
 *
 * @param rows what each unknown is multiplied by, a reading a row
 * @param step the least that readings spread by
 * @returns its place in the list; none where the others could not tell: fewer than two of them to spare
 * @example offTheFit([[1, 0], [1, 1], [1, 2], [1, 3], [1, 4]], [0, 1, 20, 3, 4], 0.1) // 2
 */
export function offTheFit(
  rows: readonly (readonly number[])[],
  values: readonly number[],
  step: number,
): number | null {
  const unknowns = rows[0]?.length ?? 0
  if (rows.length < unknowns + 3) return null
  // Few readings to spare know little of their spread: the bound is the wider.
  const spreads = coverageFactor(1 - (1 - OFF_CONFIDENCE) / rows.length, rows.length - 1 - unknowns)
  const fitted = leastSquares(rows, values)
  if (!fitted) return null
  const { residuals, inverse } = fitted
  const squares = residuals.reduce((sum, one) => sum + one ** 2, 0)
  let worst: number | null = null
  let most = 1
  // What the others say of a reading follows from the fit of them all: it pulls by its leverage.
  for (const [index, residual] of residuals.entries()) {
    const free = 1 - leverageOf(inverse, rows[index] as readonly number[])
    if (!(free > ALONE)) continue
    const offBy = Math.abs(residual) / free
    const spread = Math.sqrt(Math.max(squares - residual ** 2 / free, 0) / (rows.length - 1 - unknowns))
    const share = offBy / Math.max((spreads * spread) / Math.sqrt(free), OFF_STEPS * step)
    if (share > most) [worst, most] = [index, share]
  }
  return worst
}
