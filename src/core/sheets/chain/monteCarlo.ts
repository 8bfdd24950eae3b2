import { evenRandom } from '../../calculation/evenRandom'
import { type Contributor, centreMm, sigmaOfMm } from './calculation'

export interface Spread {
  draws: number
  meanMm: number
  sigmaMm: number
  withinShare: number
  /** Counts of draws in even bins from the least to the most of the worst case. */
  bins: number[]
  leastMm: number
  mostMm: number
  /** Share of the variance that each contributor brings, in their order; they add up to 1. */
  shares: number[]
}

const BINS = 60

/**
 * Draws a chain of dimensions many times over.
 *
 * A uniform contributor lies evenly in its band; a normal one follows its law, also beyond the band.
 *
 * @param progress called now and then with the share that is done; returning false stops, and null comes back
 */
export function drawChain(
  contributors: readonly Contributor[],
  limits: { lowerLimitMm: number; upperLimitMm: number },
  draws: number,
  seed: number,
  progress: (share: number) => boolean = () => true,
): Spread | null {
  const random = evenRandom(seed)
  const count = contributors.length
  const centres = Float64Array.from(contributors, centreMm)
  const sigmas = Float64Array.from(contributors, sigmaOfMm)
  const normal = contributors.map(({ distribution }) => distribution === 'normal')
  const centre = centres.reduce((sum, one) => sum + one, 0)
  const halfMm = contributors.reduce((sum, { plusMm, minusMm }) => sum + (plusMm + minusMm) / 2, 0)
  // Normal ones can lie beyond their bands: the bins reach a little further than the worst case.
  const reachMm = Math.max(halfMm * 1.1, 1e-9)
  const leastMm = centre - reachMm
  const perBin = (2 * reachMm) / BINS
  const bins = new Array<number>(BINS).fill(0)
  const squares = new Float64Array(count)
  let sum = 0
  let sumOfSquares = 0
  let within = 0
  // The second of every pair of normal numbers waits here.
  let spare = 0
  let hasSpare = false
  for (let draw = 0; draw < draws; draw++) {
    if ((draw & 0xffff) === 0 && !progress(draw / draws)) return null
    let off = 0
    for (let i = 0; i < count; i++) {
      let z: number
      if (!normal[i]) z = (2 * random() - 1) * Math.sqrt(3)
      else if (hasSpare) {
        z = spare
        hasSpare = false
      } else {
        const radius = Math.sqrt(-2 * Math.log(1 - random()))
        const angle = 2 * Math.PI * random()
        z = radius * Math.cos(angle)
        spare = radius * Math.sin(angle)
        hasSpare = true
      }
      const part = z * (sigmas[i] as number)
      off += part
      squares[i] = (squares[i] as number) + part * part
    }
    sum += off
    sumOfSquares += off * off
    const value = centre + off
    if (value >= limits.lowerLimitMm && value <= limits.upperLimitMm) within++
    const bin = Math.min(BINS - 1, Math.max(0, Math.floor((value - leastMm) / perBin)))
    bins[bin] = (bins[bin] as number) + 1
  }
  const meanOff = sum / draws
  const total = squares.reduce((all, one) => all + one, 0)
  progress(1)
  return {
    draws,
    meanMm: centre + meanOff,
    sigmaMm: Math.sqrt(Math.max(0, sumOfSquares / draws - meanOff * meanOff)),
    withinShare: within / draws,
    bins,
    leastMm,
    mostMm: centre + reachMm,
    shares: Array.from(squares, one => (total > 0 ? one / total : 0)),
  }
}
