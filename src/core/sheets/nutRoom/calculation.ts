import { calculation } from '../../calculation/calculation'
import { inputOf } from '../../calculation/inputOf'
import { choice, number, record } from '../../calculation/spec'
import { SECTION, STATIONS } from './model'

const over = (label: string, symbol: string) => number(label, symbol, 'mm', { over: 0 })

export const SECTION_VERDICTS = ['clear', 'cut', 'too-thin'] as const

const side = (label: string) =>
  record(label, {
    gapMm: number('gap as it is', 'g', 'mm', {}),
    cutMm: number('to be cut', 'c', 'mm', { min: 0 }),
    wallAfterMm: number('wall left', 'w', 'mm', {}),
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
    axisFromLeftMm: inputOf(STATIONS.of.leftMm, 'al', 'axis to the left'),
    axisFromRightMm: inputOf(STATIONS.of.rightMm, 'ar', 'axis to the right'),
    axisFromCeilingMm: inputOf(STATIONS.of.ceilingMm, 'ac', 'axis to the ceiling'),
    axisFromFloorMm: inputOf(STATIONS.of.floorMm, 'af', 'axis to the floor'),
    minimumGapMm: inputOf(SECTION.of.minimumGapMm, 'gmin'),
    wallLeftMm: inputOf(STATIONS.of.wallLeftMm, 'wl', 'wall on the left'),
    wallRightMm: inputOf(STATIONS.of.wallRightMm, 'wr', 'wall on the right'),
    wallCeilingMm: inputOf(STATIONS.of.wallCeilingMm, 'wc'),
    wallFloorMm: inputOf(STATIONS.of.wallFloorMm, 'wf'),
    minimumWallMm: inputOf(SECTION.of.minimumWallMm, 'wmin'),
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
