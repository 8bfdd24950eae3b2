import type { Calculation } from '../../calculation/calculation'
import type { PartOf } from '../../document/parts/types'
import { bearingPairShare } from './bearing'
import { bearingAxialLife, bearingLife, grooveLife, TABLED_ANGLES_DEG } from './bearingLife'

/** Works a calculation out under a name, such as one that remembers its working. */
type Run = <I, O>(name: string, calculate: Calculation<I, O>, inputs: I) => O

/** Of deep-groove bearings whose sheet does not give f0: the one that shortens their life most. */
const F0_NOT_GIVEN = 12

/** What a set of bearings carries besides its preload. */
export interface SetLoad {
  /** Along the shaft: the load of the duty, and the pull of a stretched screw. */
  externalN: number
  radialLoadN: number
  meanSpeedRpm: number
}

/** Whether a set is two deep-groove bearings that a wave spring holds apart. */
export const isSprung = ({ arrangement, axialPlayUm }: PartOf['bearing']): boolean =>
  arrangement === 'deep-groove' && axialPlayUm > 0

/**
 * What goes along the shaft through the bearing of a set that carries most: of a pair without play, its share of load and
 * preload; of two on a wave spring, the load and the spring; of any other with play, the load.
 *
 * @example mostLoadedN({ ...bearing, arrangement: 'deep-groove', axialPlayUm: 15, preloadN: 40 }, 500, run) // 540
 */
function mostLoadedN(bearing: PartOf['bearing'], externalN: number, run: Run): number {
  const { axialPlayUm, preloadN } = bearing
  if (isSprung(bearing)) return externalN + preloadN
  return axialPlayUm === 0 && preloadN > 0
    ? run('bearingShare', bearingPairShare, { preloadN, externalN }).loadedN
    : externalN
}

/**
 * Life of the bearings of the fixed end in hours, by the formula that suits how their sheet rates them.
 *
 * Bearings that are rated for thrust alone count a sideways pull as thrust of its own size, on the safe side.
 *
 * @param bearing with the preload that it has
 * @returns null where nothing loads it
 * @example setLifeHours(bearing, { externalN: 1100, radialLoadN: 0, meanSpeedRpm: 500 }, (_, calculate, inputs) => calculate(inputs))
 */
export function setLifeHours(
  bearing: PartOf['bearing'],
  { externalN, radialLoadN, meanSpeedRpm }: SetLoad,
  run: Run,
): number | null {
  const { contactAngleDeg, dynamicCapacityN, staticCapacityN, arrangement, f0 } = bearing
  const axialLoadN = mostLoadedN(bearing, externalN, run)
  if (axialLoadN + radialLoadN <= 0) return null
  if (arrangement === 'deep-groove')
    return run('bearingLife', grooveLife, {
      dynamicCapacityN,
      staticCapacityN,
      f0: f0 ?? F0_NOT_GIVEN,
      radialLoadN,
      axialLoadN,
      meanSpeedRpm,
    }).lifeHours
  if (TABLED_ANGLES_DEG.includes(contactAngleDeg))
    return run('bearingLife', bearingLife, {
      dynamicCapacityN,
      contactAngleDeg,
      arrangement: arrangement === 'face-to-face' ? arrangement : 'back-to-back',
      radialLoadN,
      axialLoadN,
      meanSpeedRpm,
    }).lifeHours
  return run('bearingLife', bearingAxialLife, {
    dynamicCapacityN,
    axialLoadN: axialLoadN + radialLoadN,
    meanSpeedRpm,
  }).lifeHours
}
