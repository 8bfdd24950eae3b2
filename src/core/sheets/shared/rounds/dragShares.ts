import { STEEL_E_MPA } from '../../../calculation/constants'
import { roundInertiaMm4 } from './worth'

/**
 * How far along a screw a block off its line is felt: where the screw gives as much as its support.
 *
 * @example reachOf(26.9, 93) // 55.48
 */
export const reachOf = (rootDiameterMm: number, supportStiffnessNPerUm: number): number =>
  ((3 * STEEL_E_MPA * roundInertiaMm4(rootDiameterMm)) / (1000 * supportStiffnessNPerUm)) ** (1 / 3)

/** What drag along the travel is made of: how each cause shows at a place, in a direction. */
export const dragShares = (
  positionMm: number,
  direction: number,
  spanMm: number,
  reachMm: number,
): [level: number, direction: number, fixedEnd: number, farEnd: number, slope: number] => {
  const phi = (x: number) => 1 / (1 + (x / reachMm) ** 3)
  return [1, direction, phi(positionMm), phi(spanMm - positionMm), (2 * positionMm) / spanMm - 1]
}
