import { calculation } from '../../calculation/calculation'
import { inputOf } from '../../calculation/inputOf'
import { choice, list, number } from '../../calculation/spec'
import { HOLES } from './model'

const over = (label: string, symbol: string) => number(label, symbol, 'mm', { over: 0 })

/**
 * A hole that is enlarged around another centre: what cutter swallows the old one, and what wall is left.
 *
 * @example holeEnlarge({ existingDiameterMm: 20.6, requiredDiameterMm: 30.1, centreOffsetMm: 0.8,
 *   cutterSizesMm: [30, 32], edgeDistanceMm: 37.9, minimumWallMm: 6.9 }).cutterMm // 32
 */
export const holeEnlarge = calculation({
  id: 'hole.enlarge',
  title: 'Hole to enlarge',
  formula: 'D = max(d, d0 + 2 e); the smallest cutter of D or more; w = edge - cutter/2',
  source: 'Circle about the new centre that swallows the old hole',
  validity: 'Cutters cut to their nominal size; the pilot is guided where metal is missing',
  inputs: {
    existingDiameterMm: inputOf(HOLES.of.existingDiameterMm, 'd0'),
    requiredDiameterMm: inputOf(HOLES.of.requiredDiameterMm, 'd'),
    centreOffsetMm: inputOf(HOLES.of.centreOffsetMm, 'e'),
    cutterSizesMm: list('cutters owned', over('cutter', 'dc'), 0),
    edgeDistanceMm: inputOf(HOLES.of.edgeDistanceMm, 'edge', 'new centre to the nearest edge'),
    minimumWallMm: inputOf(HOLES.of.minimumWallMm, 'wmin'),
  },
  outputs: {
    neededDiameterMm: over('diameter needed', 'D'),
    cutterMm: number('cutter to take', 'dc', 'mm', { over: 0, orNone: true }),
    wallAfterMm: number('wall left', 'w', 'mm', { orNone: true }),
    verdict: choice('verdict', ['cut', 'too-thin', 'no-cutter'] as const),
  },
  compute({
    existingDiameterMm,
    requiredDiameterMm,
    centreOffsetMm,
    cutterSizesMm,
    edgeDistanceMm,
    minimumWallMm,
  }) {
    const neededDiameterMm = Math.max(requiredDiameterMm, existingDiameterMm + 2 * centreOffsetMm)
    const large = cutterSizesMm.filter(cutterMm => cutterMm >= neededDiameterMm)
    if (large.length === 0)
      return { neededDiameterMm, cutterMm: null, wallAfterMm: null, verdict: 'no-cutter' as const }
    const cutterMm = Math.min(...large)
    const wallAfterMm = edgeDistanceMm - cutterMm / 2
    const verdict = wallAfterMm < minimumWallMm ? ('too-thin' as const) : ('cut' as const)
    return { neededDiameterMm, cutterMm, wallAfterMm, verdict }
  },
})
