import { calculation } from '../../calculation/calculation'
import { choice, given, length, record } from '../../field/field'
import { SECTION, STATIONS } from './model'

const over = (label: string, symbol: string) => length(label, { over: 0 }, { symbol })

export const SECTION_VERDICTS = ['clear', 'cut', 'too-thin'] as const

const side = (label: string) =>
  record(label, {
    gapMm: length('gap as it is', {}, { symbol: 'g' }),
    cutMm: length('to be cut', { min: 0 }, { symbol: 'c' }),
    wallAfterMm: length('wall left', {}, { symbol: 'w' }),
    verdict: choice('verdict', SECTION_VERDICTS),
  })

/** One side: what is between envelope and casting, what must go, and what is left behind it. */
function judgeSide(
  roomMm: number,
  halfMm: number,
  wallMm: number,
  minimumGapMm: number,
  minimumWallMm: number,
) {
  const gapMm = roomMm - halfMm
  const cutMm = Math.max(0, minimumGapMm - gapMm)
  const wallAfterMm = wallMm - cutMm
  const verdict =
    cutMm === 0 ? ('clear' as const) : wallAfterMm < minimumWallMm ? ('too-thin' as const) : ('cut' as const)
  return { gapMm, cutMm, wallAfterMm, verdict }
}

/**
 * The envelope of a nut in the room that a casting leaves it, at one station of the travel.
 *
 * @example clearanceSection({ envelopeWidthMm: 37.2, envelopeHeightMm: 58, axisFromLeftMm: 20.4,
 *   axisFromRightMm: 27.8, axisFromCeilingMm: 34.8, axisFromFloorMm: 22.4, minimumGapMm: 1.4, wallLeftMm: 17.1,
 *   wallRightMm: 19.9, wallCeilingMm: 5.6, wallFloorMm: 5.3, minimumWallMm: 6.1 }).floor.cutMm // 8
 */
export const clearanceSection = calculation({
  id: 'clearance.section',
  title: 'Room around the nut',
  formula:
    'g = a - e/2; c = max(0, gmin - g); w = wall - c; clear where c = 0, too thin where w < wmin, else cut',
  source: 'Lengths across the screw, from its axis to each wall of the casting',
  validity: 'The envelope is taken even about the axis, with all that sticks out of it',
  inputs: {
    envelopeWidthMm: over('width of the envelope', 'ew'),
    envelopeHeightMm: over('height of the envelope', 'eh'),
    axisFromLeftMm: given(STATIONS.of.leftMm, { label: 'axis to the left' }),
    axisFromRightMm: given(STATIONS.of.rightMm, { label: 'axis to the right' }),
    axisFromCeilingMm: given(STATIONS.of.ceilingMm, { label: 'axis to the ceiling' }),
    axisFromFloorMm: given(STATIONS.of.floorMm, { label: 'axis to the floor' }),
    minimumGapMm: given(SECTION.of.minimumGapMm),
    wallLeftMm: given(STATIONS.of.wallLeftMm, { label: 'wall on the left' }),
    wallRightMm: given(STATIONS.of.wallRightMm, { label: 'wall on the right' }),
    wallCeilingMm: given(STATIONS.of.wallCeilingMm),
    wallFloorMm: given(STATIONS.of.wallFloorMm),
    minimumWallMm: given(SECTION.of.minimumWallMm),
  },
  outputs: {
    left: side('left'),
    right: side('right'),
    ceiling: side('ceiling'),
    floor: side('floor'),
  },
  compute(i) {
    const halfWidthMm = i.envelopeWidthMm / 2
    const halfHeightMm = i.envelopeHeightMm / 2
    return {
      left: judgeSide(i.axisFromLeftMm, halfWidthMm, i.wallLeftMm, i.minimumGapMm, i.minimumWallMm),
      right: judgeSide(i.axisFromRightMm, halfWidthMm, i.wallRightMm, i.minimumGapMm, i.minimumWallMm),
      ceiling: judgeSide(i.axisFromCeilingMm, halfHeightMm, i.wallCeilingMm, i.minimumGapMm, i.minimumWallMm),
      floor: judgeSide(i.axisFromFloorMm, halfHeightMm, i.wallFloorMm, i.minimumGapMm, i.minimumWallMm),
    }
  },
})
