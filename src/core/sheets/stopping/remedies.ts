import { RECESSES } from '../../document/dimensions'
import { type RemedyFinder, solve } from '../../evaluation/remedy'
import { goal } from '../../machine/remedies'
import { type End, SAFETY_OF } from './check'
import { STOPPING } from './model'

/** More kept clear, up to what can be set. */
const keptClear = (end: End): RemedyFinder => {
  const key = SAFETY_OF[end]
  const { label, quantity, max } = RECESSES[key]
  return trial =>
    solve(trial, {
      from: trial.context.axis.recesses[key],
      to: max,
      quantity,
      change: value => draft => {
        draft.recesses[key] = value
      },
      label,
      cost: 'as much travel given up',
    })
}

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

export const remediesAt = (end: End): RemedyFinder[] => [keptClear(end), harder(), goal('topSpeedMmPerMin')]
