import type { Calculation } from '../../calculation/calculation'
import type { PartOf } from '../../document/parts/types'

import { bearingAxialLife, bearingLife, TABLED_ANGLES_DEG } from './bearingLife'

/**
 * Life of the bearings of the fixed end in hours, by the formula that suits how their sheet rates them.
 *
 * Bearings that are rated for thrust alone count a sideways pull as thrust of its own size, on the safe side.
 *
 * @param run works a calculation out, such as one that remembers its working
 * @example ratedLifeHours(bearing, { axialLoadN: 1100, radialLoadN: 0, meanSpeedRpm: 500 }, (calculate, inputs) => calculate(inputs))
 */
export function ratedLifeHours(
  { contactAngleDeg, dynamicCapacityN, arrangement }: PartOf['bearing'],
  {
    axialLoadN,
    radialLoadN,
    meanSpeedRpm,
  }: { axialLoadN: number; radialLoadN: number; meanSpeedRpm: number },
  run: <I, O>(calculate: Calculation<I, O>, inputs: I) => O,
): number {
  return TABLED_ANGLES_DEG.includes(contactAngleDeg)
    ? run(bearingLife, {
        dynamicCapacityN,
        contactAngleDeg,
        arrangement: arrangement === 'face-to-face' ? arrangement : 'back-to-back',
        radialLoadN,
        axialLoadN,
        meanSpeedRpm,
      }).lifeHours
    : run(bearingAxialLife, { dynamicCapacityN, axialLoadN: axialLoadN + radialLoadN, meanSpeedRpm })
        .lifeHours
}
