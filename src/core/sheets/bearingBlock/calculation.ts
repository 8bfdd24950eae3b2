import { calculation } from '../../calculation/calculation'
import { inputOf } from '../../calculation/inputOf'
import { choice, list, number } from '../../calculation/spec'
import { BEARINGS, BLOCK } from './model'

const length = (label: string, symbol: string) => number(label, symbol, 'mm', { min: 0 })

/**
 * The bearings in their bore: whether the cover clamps the outer rings, and what shim or spacer makes it so.
 *
 * @example bearingStack({ boreDepthMm: 28.25, bearingWidthsMm: [11, 11], outerSpacerMm: 6.76, coverSpigotMm: 0.5,
 *   targetProudMm: 0.03, maximumProudMm: 0.11 }).proudMm // 1.01
 */
export const bearingStack = calculation({
  id: 'fit.bearingStack',
  title: 'Stack of the bearing block',
  formula: 'p = sum b + s + c - t; shim = max(0, p1 - p); spacer for p1 = t - sum b - c + p1',
  source: 'Lengths along the bore; the cover must stand off the block by a hair to clamp the outer rings',
  validity: 'Faces square and clean; measured, not nominal',
  inputs: {
    boreDepthMm: inputOf(BLOCK.of.boreDepthMm, 't'),
    bearingWidthsMm: list('widths of the bearings', inputOf(BEARINGS.of.widthMm, 'b', 'bearing')),
    outerSpacerMm: inputOf(BLOCK.of.outerSpacerMm, 's'),
    coverSpigotMm: inputOf(BLOCK.of.coverSpigotMm, 'c'),
    targetProudMm: inputOf(BLOCK.of.targetProudMm, 'p1'),
    maximumProudMm: inputOf(BLOCK.of.maximumProudMm, 'p2'),
  },
  outputs: {
    proudMm: number('gap under the cover', 'p', 'mm', {}),
    shimMm: length('shim to add', 'shim'),
    spacerForTargetMm: number('spacer that makes it right', 's1', 'mm', {}),
    verdict: choice('verdict', ['clamps', 'shim', 'too-proud'] as const),
  },
  compute({ boreDepthMm, bearingWidthsMm, outerSpacerMm, coverSpigotMm, targetProudMm, maximumProudMm }) {
    const widthsMm = bearingWidthsMm.reduce((sum, widthMm) => sum + widthMm, 0)
    const proudMm = widthsMm + outerSpacerMm + coverSpigotMm - boreDepthMm
    const verdict =
      proudMm > maximumProudMm
        ? ('too-proud' as const)
        : proudMm < targetProudMm
          ? ('shim' as const)
          : ('clamps' as const)
    return {
      proudMm,
      shimMm: Math.max(0, targetProudMm - proudMm),
      spacerForTargetMm: boreDepthMm - widthsMm - coverSpigotMm + targetProudMm,
      verdict,
    }
  },
})
