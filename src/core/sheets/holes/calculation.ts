import { calculation } from '../../calculation/calculation'
import { TOLERANCE_MM } from '../../calculation/constants'
import { choice, given, length, list } from '../../field/field'
import { HOLE_USES, HOLES } from './model'

const over = (label: string, symbol: string) => length(label, { over: 0 }, { symbol })

/** What is left to bore true in a seat after its rough cut, at least. */
const LEFT_TO_BORE_MM = 0.5
/** Metal around the pilot in a bung, at least. */
const AROUND_PILOT_MM = 1

/**
 * A hole that is enlarged around another centre: with what cutter, what wall is left, and what guides its pilot.
 *
 * For clearance the cut only has to open the circle asked for. A seat is roughed out under size and bored true; where
 * the old hole breaks it, it takes a sleeve.
 *
 * @example holeEnlarge({ use: 'seat', existingDiameterMm: 15.4, requiredDiameterMm: 32.9, centreOffsetMm: 0,
 *   cutterSizesMm: [22, 30, 32, 35], edgeDistanceMm: 26.5, minimumWallMm: 7.1 }).cutterMm // 32
 */
export const holeEnlarge = calculation({
  id: 'hole.enlarge',
  title: 'Hole to enlarge',
  formula:
    'clearance: enough where d0/2 >= d/2 + e, else the smallest cutter of d or more; seat: the largest of d - 0.5 or less that is over d0, then bored to d, a sleeve where d0 + 2 e > d; w = edge - half of what is cut',
  source: 'Circles about the old and the new centre',
  validity: 'Cutters cut to their nominal size; the pilot must run in metal all round',
  inputs: {
    use: choice('what it is for', HOLE_USES),
    existingDiameterMm: given(HOLES.of.existingDiameterMm),
    requiredDiameterMm: given(HOLES.of.requiredDiameterMm),
    centreOffsetMm: given(HOLES.of.centreOffsetMm),
    cutterSizesMm: list('cutters owned', over('cutter', 'dc'), 0),
    edgeDistanceMm: given(HOLES.of.edgeDistanceMm, { label: 'new centre to the nearest edge' }),
    minimumWallMm: given(HOLES.of.minimumWallMm),
    pilotMm: length('pilot of the cutter', { over: 0 }, { symbol: 'dp', default: 6 }),
  },
  outputs: {
    cutterMm: length('cutter to take', { over: 0 }, { symbol: 'dc', orNone: true }),
    finishedDiameterMm: over('hole as it will be', 'D'),
    wallAfterMm: length('wall left', {}, { symbol: 'w' }),
    verdict: choice('verdict', ['enough', 'cut', 'bore', 'sleeve', 'too-thin', 'no-cutter'] as const),
    guide: choice('what guides the pilot', ['bung', 'metal', 'template'] as const),
  },
  compute({
    use,
    existingDiameterMm,
    requiredDiameterMm,
    centreOffsetMm,
    cutterSizesMm,
    edgeDistanceMm,
    minimumWallMm,
    pilotMm = 6,
  }) {
    const guide =
      centreOffsetMm + pilotMm / 2 + AROUND_PILOT_MM <= existingDiameterMm / 2 + TOLERANCE_MM
        ? ('bung' as const)
        : existingDiameterMm === 0 || centreOffsetMm + TOLERANCE_MM >= (existingDiameterMm + pilotMm) / 2
          ? ('metal' as const)
          : ('template' as const)
    const wallAt = (diameterMm: number) => edgeDistanceMm - diameterMm / 2
    const as = <V extends string>(cutterMm: number | null, finishedDiameterMm: number, verdict: V) => ({
      cutterMm,
      finishedDiameterMm,
      wallAfterMm: wallAt(finishedDiameterMm),
      verdict,
      guide,
    })
    const thin = (diameterMm: number) => wallAt(diameterMm) < minimumWallMm - TOLERANCE_MM
    if (use === 'clearance') {
      if (existingDiameterMm / 2 + TOLERANCE_MM >= requiredDiameterMm / 2 + centreOffsetMm)
        return as(null, existingDiameterMm, 'enough')
      const large = cutterSizesMm.filter(sizeMm => sizeMm + TOLERANCE_MM >= requiredDiameterMm)
      if (large.length === 0) return as(null, requiredDiameterMm, 'no-cutter')
      const cutterMm = Math.min(...large)
      return as(cutterMm, cutterMm, thin(cutterMm) ? 'too-thin' : 'cut')
    }
    const rough = cutterSizesMm.filter(
      sizeMm => sizeMm <= requiredDiameterMm - LEFT_TO_BORE_MM + TOLERANCE_MM && sizeMm > existingDiameterMm,
    )
    const breaksIn = existingDiameterMm + 2 * centreOffsetMm > requiredDiameterMm + TOLERANCE_MM
    return as(
      rough.length ? Math.max(...rough) : null,
      requiredDiameterMm,
      breaksIn ? 'sleeve' : thin(requiredDiameterMm) ? 'too-thin' : 'bore',
    )
  },
})
