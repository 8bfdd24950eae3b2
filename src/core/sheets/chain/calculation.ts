import { calculation } from '../../calculation/calculation'
import { TOLERANCE_MM } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { normalBelow } from '../../calculation/normalLaw'
import { choice, given, length as lengthField, list, plain, record } from '../../field/field'
import { CHAIN, LINKS } from './model'

const length = (label: string, symbol: string) => lengthField(label, {}, { symbol })

/** One link of a chain of dimensions. */
export interface Contributor {
  nominalMm: number
  plusMm: number
  minusMm: number
  /** 1 where a larger one makes the chain longer, -1 where shorter. */
  direction: number
  distribution: 'normal' | 'uniform'
}

/** Most likely value of a contributor, in the middle of its band, with its sign in the chain. */
export const centreMm = ({ nominalMm, plusMm, minusMm, direction }: Contributor): number =>
  direction * (nominalMm + (plusMm - minusMm) / 2)

/** Standard deviation of a contributor: a normal band is three of them to each side. */
export const sigmaOfMm = ({ plusMm, minusMm, distribution }: Contributor): number =>
  (plusMm + minusMm) / 2 / (distribution === 'normal' ? 3 : Math.sqrt(3))

/** More shims than anyone stacks. */
const MOST_SHIMS = 20

/** From this share of good ones on, parts are made to size; below it, something is left to adjust. */
export const MACHINE_TO_SIZE_FROM = 0.95

/**
 * A chain of dimensions: what it comes to at worst and as a rule, and whether to make it to size.
 *
 * @throws InputError where the limits are in the wrong order
 * @example stackupChain({ contributors: [{ nominalMm: 10, plusMm: 0.1, minusMm: 0.1, direction: 1,
 *   distribution: 'normal' }], lowerLimitMm: 9.9, upperLimitMm: 10.1 }).probabilityWithin // 0.9973
 */
export const stackupChain = calculation({
  id: 'stackup.chain',
  title: 'Chain of dimensions',
  formula:
    'm = sum dir (n + (plus - minus)/2); s^2 = sum s_i^2, s_i = band/6 (normal) or band/(2 sqrt 3) (uniform); p = Phi((U - m)/s) - Phi((L - m)/s)',
  source: 'Worst case, and the sum of independent spreads by the normal law',
  validity: 'Contributors are independent; three or more make the sum nearly normal',
  inputs: {
    contributors: list(
      'contributors',
      record('contributor', {
        nominalMm: given(LINKS.of.nominalMm),
        plusMm: given(LINKS.of.plusMm),
        minusMm: given(LINKS.of.minusMm),
        direction: plain('direction', {}, { symbol: 'dir', oneOf: [1, -1] }),
        distribution: choice('distribution', ['normal', 'uniform'] as const),
      }),
    ),
    lowerLimitMm: given(CHAIN.of.lowerLimitMm, { label: 'lower limit' }),
    upperLimitMm: given(CHAIN.of.upperLimitMm, { label: 'upper limit' }),
  },
  outputs: {
    nominalMm: given(LINKS.of.nominalMm),
    worstMinMm: length('least at worst', 'min'),
    worstMaxMm: length('most at worst', 'max'),
    meanMm: length('mean', 'm'),
    sigmaMm: lengthField('standard deviation', { min: 0 }, { symbol: 's' }),
    probabilityWithin: plain('share within the limits', [0, 1], { symbol: 'p' }),
    advice: choice('advice', ['machine-to-size', 'leave-adjustable'] as const),
    adjustmentRangeMm: lengthField('adjustment to provide', { min: 0 }, { symbol: 'range' }),
  },
  compute({ contributors, lowerLimitMm, upperLimitMm }) {
    if (upperLimitMm < lowerLimitMm)
      throw new InputError('upperLimitMm', upperLimitMm, `a number from ${lowerLimitMm} mm, the lower limit`)
    const sum = (of: (one: Contributor) => number) => contributors.reduce((total, one) => total + of(one), 0)
    const worstMinMm = sum(
      one => one.direction * one.nominalMm - (one.direction > 0 ? one.minusMm : one.plusMm),
    )
    const worstMaxMm = sum(
      one => one.direction * one.nominalMm + (one.direction > 0 ? one.plusMm : one.minusMm),
    )
    const meanMm = sum(centreMm)
    const sigmaMm = Math.sqrt(sum(one => sigmaOfMm(one) ** 2))
    const probabilityWithin =
      sigmaMm === 0
        ? Number(meanMm >= lowerLimitMm && meanMm <= upperLimitMm)
        : Math.max(
            0,
            normalBelow((upperLimitMm - meanMm) / sigmaMm) - normalBelow((lowerLimitMm - meanMm) / sigmaMm),
          )
    const alwaysWithin =
      worstMinMm >= lowerLimitMm - TOLERANCE_MM && worstMaxMm <= upperLimitMm + TOLERANCE_MM
    return {
      nominalMm: sum(one => one.direction * one.nominalMm),
      worstMinMm,
      worstMaxMm,
      meanMm,
      sigmaMm,
      probabilityWithin,
      advice:
        probabilityWithin >= MACHINE_TO_SIZE_FROM || alwaysWithin
          ? ('machine-to-size' as const)
          : ('leave-adjustable' as const),
      adjustmentRangeMm: Math.max(0, worstMaxMm - worstMinMm),
    }
  },
})

/**
 * Shims to have at hand so that any thickness up to a range can be packed, to within what the limits forgive.
 *
 * Each one is the thickest of the stock that leaves no thickness out, so that few are needed; the last one is only as
 * thick as it must be.
 *
 * @param rangeMm thickness that must be reached
 * @param stepMm how far off a pack may be: the width between the limits
 * @returns thinnest first; null where the thinnest of the stock is thicker than the step, or it takes too many
 * @example shimSet(0.6, 0.05, [0.02, 0.05, 0.1, 0.2, 0.5]) // [0.05, 0.05, 0.1, 0.2, 0.2]
 */
export function shimSet(rangeMm: number, stepMm: number, stockMm: readonly number[]): number[] | null {
  const sizes = stockMm.toSorted((a, b) => b - a)
  const set: number[] = []
  for (let reachMm = 0; reachMm + TOLERANCE_MM < rangeMm && set.length < MOST_SHIMS; ) {
    const fine = sizes.filter(sizeMm => sizeMm <= reachMm + stepMm + TOLERANCE_MM)
    const leftMm = rangeMm - reachMm
    const next = fine.findLast(sizeMm => sizeMm + TOLERANCE_MM >= leftMm) ?? fine[0]
    if (next === undefined) return null
    set.push(next)
    reachMm += next
  }
  const sumMm = set.reduce((sum, one) => sum + one, 0)
  return sumMm + TOLERANCE_MM < rangeMm ? null : set.toSorted((a, b) => a - b)
}
