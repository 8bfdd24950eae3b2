import { calculation } from '../../calculation/calculation'
import { choice, list, number } from '../../calculation/spec'

const over = (label: string, symbol: string) => number(label, symbol, 'mm', { over: 0 })
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
    boreDepthMm: over('depth of the bore', 't'),
    bearingWidthsMm: list('widths of the bearings', over('bearing', 'b')),
    outerSpacerMm: length('spacer between the outer rings', 's'),
    coverSpigotMm: length('spigot of the cover', 'c'),
    targetProudMm: length('to stand proud', 'p1'),
    maximumProudMm: length('to stand proud at most', 'p2'),
  },
  outputs: {
    proudMm: number('stands proud', 'p', 'mm', {}),
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
