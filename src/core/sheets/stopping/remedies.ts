import { type RemedyFinder, solve } from '../../evaluation/remedy'
import { goal, keptClear } from '../../machine/commonRemedies'
import { STOPPING } from '../../machine/travel/stoppingModel'
import { type End, SAFETY_OF } from './check'

/** So many times harder than now is worth a try; more than that stalls what speeds up as it does. */
const HARDEST = 3

/** Slowing down harder at a limit. */
const harder = (): RemedyFinder => {
  const { label, quantity, max } = STOPPING.of.decelerationMmPerS2
  return trial => {
    const { stopping, goals } = trial.context.axis
    const from = stopping.decelerationMmPerS2 ?? goals.accelerationMmPerS2
    return solve(trial, {
      from,
      to: Math.min(HARDEST * from, max),
      quantity,
      change: value => draft => {
        draft.stopping.decelerationMmPerS2 = value
      },
      label,
      cost: 'the motor must slow the axis that hard: try it from a low speed up',
    })
  }
}

export const remediesAt = (end: End): RemedyFinder[] => [
  keptClear(SAFETY_OF[end]),
  harder(),
  goal('topSpeedMmPerMin'),
]
