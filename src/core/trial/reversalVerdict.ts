import { normalFrom } from '../calculation/evenRandom'
import { judgeReversal } from '../sheets/reversal/judgeReversal'
import { FEWEST_OF_A_TEST } from '../sheets/shared/proofs/fewReadings'
import { reversal } from '../sheets/shared/proofs/reversal'

/** More readings from a side than this nobody takes. */
const MOST_READINGS = 30
const TARGET_UM = 30

/**
 * One test of an axis that loses a hair more than what is accepted: whether it is let through all the same.
 *
 * @param random even numbers from 0 up to 1
 * @param spreadUm what readings spread by, and `stepUm` the step of the gauge
 * @param readings how many from a side before the verdict is looked at; null when it is looked at after each
 * @returns true when chance made it hold
 */
export function wronglyHolds(
  random: () => number,
  spreadUm: number,
  stepUm: number,
  readings: number | null,
): boolean {
  const normal = normalFrom(random)
  // Where within a step of the gauge the place lies.
  const shiftUm = random() * stepUm
  const read = (meanUm: number) => Math.round((meanUm + shiftUm + spreadUm * normal()) / stepUm) * stepUm
  const up: number[] = []
  const down: number[] = []
  for (let count = 1; count <= (readings ?? MOST_READINGS); count++) {
    up.push(read(TARGET_UM / 2 + 1e-3))
    down.push(read(-TARGET_UM / 2))
    if (count < (readings ?? FEWEST_OF_A_TEST)) continue
    const figures = reversal.compute({
      approachPositiveUm: up,
      approachNegativeUm: down,
      resolutionUm: stepUm,
    })
    if (judgeReversal(figures, count, TARGET_UM, stepUm).state === 'holds') return true
  }
  return false
}
