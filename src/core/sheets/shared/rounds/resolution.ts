import type { EvaluationContext } from '../../../evaluation/context'
import type { Round } from './model'
import { expanded } from './roundFinding'

// What a gauge can tell at all, before anything is read with it: calipers read to two hundredths.

/** The least that a round can tell from nothing at 95 %, and what counts on its sheet. */
export interface Resolution {
  leastUm: number
  countsUm: number
}

/** How readings spread that are read to whole steps of a gauge. */
const ofStep = (stepUm: number): number => stepUm / Math.sqrt(12)

/**
 * The least height of a wave once a turn that readings in steps can tell.
 *
 * @param places how many there are round the turn
 * @example leastWaveUm(20, 6) // 6.533
 */
export const leastWaveUm = (stepUm: number, places: number): number =>
  expanded(ofStep(stepUm) * Math.sqrt(2 / Math.max(places, 3)), 0)

/**
 * The least that a line through readings in steps can tell at a place away from where it is held.
 *
 * @param places where the readings are taken
 * @param armMm from the point that is held to the place that counts
 * @example leastOnLineUm(20, [0, 100, 200, 300], 250) // 12.65
 */
export function leastOnLineUm(stepUm: number, placesMm: readonly number[], armMm: number): number | null {
  const meanMm = placesMm.reduce((sum, one) => sum + one, 0) / placesMm.length
  const spreadMm2 = placesMm.reduce((sum, one) => sum + (one - meanMm) ** 2, 0)
  return spreadMm2 > 0 ? (expanded(ofStep(stepUm), 0) * Math.abs(armMm)) / Math.sqrt(spreadMm2) : null
}

/** Of two single readings that are taken from each other, a whole step. */
export const bySteps =
  <R extends Round & { gaugeStepUm: number | null }>(countsUm: (t: EvaluationContext, round: R) => number) =>
  (t: EvaluationContext, round: R): Resolution | null =>
    round.gaugeStepUm === null ? null : { leastUm: round.gaugeStepUm, countsUm: countsUm(t, round) }
