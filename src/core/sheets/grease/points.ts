import type { Axis } from '../../document/axis'
import type { LubePoint } from './model'

/** The points that an axis of its kind usually has; how each is reached is for the builder to see. */
export function usualPoints({
  slide,
  ends,
  drive,
}: Pick<Axis, 'slide' | 'ends' | 'drive'>): Omit<LubePoint, 'id'>[] {
  const point = (what: string, lubricant: LubePoint['lubricant'], amount: string): Omit<LubePoint, 'id'> => ({
    what,
    lubricant,
    amount,
    access: null,
  })
  return (drive.screws === 2 ? ['first ', 'second '] : [''])
    .flatMap(which => [
      point(`Nut of the ${which}screw`, 'grease', 'until it shows at the wipers'),
      point(`Fixed bearings of the ${which}screw`, 'grease', 'a third of the space, packed once'),
      ...(ends === 'fixed-free'
        ? []
        : [point(`Far bearing of the ${which}screw`, 'grease', 'a third of the space')]),
    ])
    .concat(
      slide === 'rail-carriage'
        ? [1, 2, 3, 4].map(number => point(`Carriage ${number}`, 'grease', 'until it shows at the seals'))
        : [point('Ways', 'oil', 'a film, every day it runs'), point('Gib', 'oil', 'with the ways')],
    )
}
