import { TOLERANCE_MM } from '../../../calculation/constants'
import type { Say } from '../../../evaluation/check'

/**
 * Shims of the stock that add up to what is missing, the thickest first; null where the stock does not reach within
 * what the cover may stand proud.
 *
 * @param leastMm what is missing
 * @param mostMm what would be too much
 * @example shimsFor(0.13, 0.2, [0.02, 0.05, 0.1]) // [0.1, 0.05]
 */
export function shimsFor(leastMm: number, mostMm: number, stockMm: readonly number[]): number[] | null {
  const sizes = stockMm.toSorted((a, b) => b - a)
  const shims: number[] = []
  let leftMm = leastMm
  for (const sizeMm of sizes)
    while (sizeMm <= leftMm + TOLERANCE_MM && shims.length < 12) {
      shims.push(sizeMm)
      leftMm -= sizeMm
    }
  const smallest = sizes.at(-1)
  if (leftMm > TOLERANCE_MM && smallest !== undefined) {
    shims.push(smallest)
    leftMm -= smallest
  }
  const sumMm = shims.reduce((sum, one) => sum + one, 0)
  return leftMm > TOLERANCE_MM || sumMm > mostMm + TOLERANCE_MM ? null : shims
}

/**
 * A thickness made of the stock at hand, in words: as near as it comes.
 *
 * @example shimWords(70, [0.02, 0.05, 0.1], say) // '50 µm + 20 µm from stock'
 */
export function shimWords(thicknessUm: number, stockMm: readonly number[], say: Say): string {
  const halfMm = Math.min(...stockMm) / 2
  const wantedMm = thicknessUm / 1000
  const shims = wantedMm < halfMm ? [] : shimsFor(wantedMm - halfMm, wantedMm + halfMm, stockMm)
  if (!shims || shims.length === 0) return 'less than the thinnest shim at hand'
  const sumUm = 1000 * shims.reduce((sum, one) => sum + one, 0)
  const each = `${shims.map(one => say(one * 1000, 'smallLength')).join(' + ')} from stock`
  return Math.abs(sumUm - thicknessUm) < 0.5
    ? each
    : `${each}, ${say(Math.round(sumUm * 10) / 10, 'smallLength')} in all`
}
