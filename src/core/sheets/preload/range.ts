import type { EvaluationContext } from '../../evaluation/context'
import { forces } from '../../machine/drive/load'
import { lifeHoursAsSet } from '../../machine/drive/strength'
import { locknut } from '../shared/steps/preload'

/** A pair opens under so many times its preload. */
const OPENS_AT = 2 ** 1.5
/** Preload grows by this power of the squeeze. */
const BY_SQUEEZE = 1.5

/** A turn within these shares of the one reckoned is as good as a hand turns a spanner. */
export const LEAST_TURN = 0.6
export const MOST_TURN = 1.3

/** A preload that a pair may be set to: what it comes to, from opening to life. */
export interface SetPreload {
  turnDeg: number
  preloadN: number
  /** The load under which the pair opens. */
  opensN: number
  lifeHours: number
}

/**
 * What a turn of the locknut from no play comes to.
 *
 * @throws NotKnown without bearings, or before the axis can be reckoned
 */
export function setBy(t: EvaluationContext, turnDeg: number): SetPreload {
  const nut = locknut(t)
  const preloadN = nut.preloadN * Math.max(0, turnDeg / nut.turnDeg) ** BY_SQUEEZE
  return { turnDeg, preloadN, opensN: OPENS_AT * preloadN, lifeHours: lifeHoursAsSet(t, preloadN) }
}

/**
 * Both ends of the range, and the preload that is wanted: below the least the pair opens under the largest load, or
 * early; above the most it heats and wears.
 */
export function preloadRange(t: EvaluationContext): {
  least: SetPreload
  wanted: SetPreload
  most: SetPreload
} {
  const nut = locknut(t)
  const opensAtDeg = nut.turnDeg * (forces(t).maxN / (OPENS_AT * nut.preloadN)) ** (1 / BY_SQUEEZE)
  return {
    // A pair that opens even at the wanted preload is set to that all the same: nothing below it is better.
    least: setBy(t, Math.min(nut.turnDeg, Math.max(opensAtDeg, LEAST_TURN * nut.turnDeg))),
    wanted: setBy(t, nut.turnDeg),
    most: setBy(t, MOST_TURN * nut.turnDeg),
  }
}
