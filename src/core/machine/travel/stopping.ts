import { calculation } from '../../calculation/calculation'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'
import { given, length, plain } from '../../field/field'
import { STOPPING } from './stoppingModel'

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
    speedMmPerS: plain('speed at the switch', { min: 0 }, { symbol: 'v', unit: 'mm/s' }),
    decelerationMmPerS2: given(STOPPING.of.decelerationMmPerS2),
    reactionS: given(STOPPING.of.reactionS),
  },
  outputs: { distanceMm: length('distance to stop', { min: 0 }, { symbol: 's' }) },
  compute: ({ speedMmPerS, decelerationMmPerS2, reactionS }) => ({
    distanceMm: speedMmPerS * reactionS + speedMmPerS ** 2 / (2 * decelerationMmPerS2),
  }),
})

/** How far the axis runs on at its top speed. @throws NotKnown until the reaction of the controller is known */
export const stoppingMm = remembered((t: EvaluationContext) => {
  const { reactionS, decelerationMmPerS2 } = t.axis.stopping
  if (reactionS === null)
    throw new NotKnown({
      sheet: 'stopping',
      stage: 'room',
      what: 'how long the controller takes from the switch to the first slowing step',
    })
  return t.figure('stopping', limitsStopping, {
    speedMmPerS: t.axis.goals.topSpeedMmPerMin / 60,
    decelerationMmPerS2: decelerationMmPerS2 ?? t.axis.goals.accelerationMmPerS2,
    reactionS,
  }).distanceMm
})
