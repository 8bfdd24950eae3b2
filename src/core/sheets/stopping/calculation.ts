import { calculation } from '../../calculation/calculation'
import { inputOf } from '../../calculation/inputOf'
import { number } from '../../calculation/spec'
import { STOPPING } from './model'

/**
 * How far an axis runs on from the moment its switch is struck until it stands.
 *
 * @example limitsStopping({ speedMmPerS: 182.5, decelerationMmPerS2: 264, reactionS: 0.03 }).distanceMm // 68.555
 */
export const limitsStopping = calculation({
  id: 'limits.stopping',
  title: 'Distance to stop',
  formula: 's = v t + v^2/(2 a)',
  source: 'Even motion while nobody has reacted yet, then even slowing down',
  validity: 'The drive slows down as hard as it is set to: it neither stalls nor is let go',
  inputs: {
    speedMmPerS: number('speed at the switch', 'v', 'mm/s', { min: 0 }),
    decelerationMmPerS2: inputOf(STOPPING.of.decelerationMmPerS2, 'a'),
    reactionS: inputOf(STOPPING.of.reactionS, 't'),
  },
  outputs: { distanceMm: number('distance to stop', 's', 'mm', { min: 0 }) },
  compute: ({ speedMmPerS, decelerationMmPerS2, reactionS }) => ({
    distanceMm: speedMmPerS * reactionS + speedMmPerS ** 2 / (2 * decelerationMmPerS2),
  }),
})
