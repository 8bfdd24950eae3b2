/** Fewer readings from a side, or fewer targets, are a look, not a test. */
export const FEWEST_OF_A_TEST = 5

/** The mean of some readings. @example meanOf([1, 2, 6]) // 3 */
export const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / values.length

/** Mean and sample deviation of some readings; no deviation below two of them. */
export function spreadOf(values: readonly number[]): { mean: number; deviation: number } {
  const mean = meanOf(values)
  const squares = values.reduce((sum, one) => sum + (one - mean) ** 2, 0)
  return { mean, deviation: values.length > 1 ? Math.sqrt(squares / (values.length - 1)) : 0 }
}
