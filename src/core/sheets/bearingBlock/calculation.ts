import { calculation } from '../../calculation/calculation'
import { choice, given, length as lengthField, list } from '../../field/field'
import { BEARINGS, BLOCK } from './model'

const length = (label: string, symbol: string) => lengthField(label, { min: 0 }, { symbol })

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
    boreDepthMm: given(BLOCK.of.boreDepthMm),
    bearingWidthsMm: list('widths of the bearings', given(BEARINGS.of.widthMm, { label: 'bearing' })),
    outerSpacerMm: given(BLOCK.of.outerSpacerMm),
    coverSpigotMm: given(BLOCK.of.coverSpigotMm),
    targetProudMm: given(BLOCK.of.targetProudMm),
    maximumProudMm: given(BLOCK.of.maximumProudMm),
  },
  outputs: {
    proudMm: lengthField('gap under the cover', {}, { symbol: 'p' }),
    shimMm: length('shim to add', 'shim'),
    spacerForTargetMm: lengthField('spacer that makes it right', {}, { symbol: 's1' }),
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
