import { attempt } from '../../../evaluation/attempt'
import type { EvaluationContext } from '../../../evaluation/context'
import { readingsDrift, readingsStep } from '../../../readings/order'

// What the order of a test's readings says beside their places: a jump that stayed, or a drift.

/** What moved by less than so much of what is accepted, and by so many steps, decides nothing. */
const MOVED_SHARE = 1 / 4
const MOVED_STEPS = 2

/** What readings must have moved by before it matters. @example leastMovedUm(30, 1) // 7.5 */
export const leastMovedUm = (acceptedUm: number, gaugeStepUm: number | null): number =>
  Math.max(MOVED_SHARE * acceptedUm, MOVED_STEPS * (gaugeStepUm ?? 0))

type Moved = { byUm: number; standardUm: number } & (
  | { is: 'drift' }
  /** With the place of the first reading after it among those that were taken. */
  | { is: 'jump'; afterReading: number }
)

/** How many standard uncertainties a figure is. */
const sureOf = (by: number, standard: number) => Math.abs(by) / Math.max(standard, 1e-9)

/**
 * What readings moved by in the order in which they were taken: the one of jump and drift that explains more.
 *
 * @param keys by which their figures are kept
 * @param inputs the readings in their order, with the quantity that each is of; below two of each order cannot be told from place
 * @param leastUm what does not matter
 * @param fewestBeside so near to either end a jump is odd readings
 * @returns null where they are even
 */
export function movedIn(
  t: EvaluationContext,
  keys: { step: string; drift: string },
  inputs: { groups: string[]; valuesUm: number[] },
  { leastUm = 0, fewestBeside = 1 } = {},
): Moved | null {
  const step = attempt(() => t.figure(keys.step, readingsStep, inputs)).value
  const drift = attempt(() => t.figure(keys.drift, readingsDrift, inputs)).value
  const count = inputs.valuesUm.length
  const drifts =
    drift?.drifts && Math.abs(drift.totalUm) > leastUm ? sureOf(drift.driftPerReadingUm, drift.standardUm) : 0
  const jumps =
    step?.steps &&
    Math.abs(step.stepUm) > leastUm &&
    Math.min(count - step.afterReading, step.afterReading) >= fewestBeside
      ? sureOf(step.stepUm, step.standardUm)
      : 0
  if (drift && drifts > 0 && drifts >= jumps)
    return { is: 'drift', byUm: drift.totalUm, standardUm: drift.standardUm * (count - 1) }
  if (step && jumps > 0)
    return { is: 'jump', byUm: step.stepUm, standardUm: step.standardUm, afterReading: step.afterReading }
  return null
}
