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
