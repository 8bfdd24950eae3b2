import type { EvaluationContext } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'
import { counterweight } from '../../machine/travel/counterweight'

/** One end over which the table is run out. */
export interface RunOut {
  end: 'fixed' | 'far'
  beyondMm: number
  /** Whether it tips off its way with nothing laid on. */
  liftsOff: boolean
  /** What must lie on its other side at least, so that its weight stays on the middle third of the way. */
  leastKg: number
  /** What may lie there at most before it leans the other way as far; without end where no weight does that. */
  mostKg: number
  /** From here on it tips off the other way. */
  tipsKg: number
}

/** The heaviest weight that leaves the middle of all within a reach of the middle of the way, on the weight's side. */
const mostWithin = (massKg: number, beyondMm: number, armMm: number, reachMm: number): number =>
  armMm > reachMm ? (massKg * (beyondMm + reachMm)) / (armMm - reachMm) : Number.POSITIVE_INFINITY

const missing = (what: string) => new NotKnown({ sheet: 'counterweight', stage: 'room', what })

/**
 * What the table needs at each end over which it is run out; none where nobody has measured how far.
 *
 * @throws NotKnown while the way, the mass, or where the weight will lie is missing
 */
export function runOuts(t: EvaluationContext): RunOut[] {
  const { wayLengthMm, beyondFixedMm, beyondFarMm, weightArmMm } = t.axis.counterweight
  const read = (
    [
      ['fixed', beyondFixedMm],
      ['far', beyondFarMm],
    ] as const
  ).flatMap(([end, beyondMm]) => (beyondMm === null ? [] : [{ end, beyondMm }]))
  if (read.length === 0) return []
  if (wayLengthMm === null) throw missing('the length of the way that the table lies on')
  const massKg = t.dimension('movingMassKg')
  const wayHalfLengthMm = wayLengthMm / 2
  const third = wayHalfLengthMm / 3
  return read.map(({ end, beyondMm }) => {
    if (beyondMm > third && weightArmMm === null) throw missing('where the weight will lie')
    const armMm = weightArmMm ?? 0
    const { liftsOff, counterweightKg } = t.figure(`counterweight.${end}`, counterweight, {
      massKg,
      overhangMm: beyondMm,
      wayHalfLengthMm,
      weightArmMm: armMm,
    })
    return {
      end,
      beyondMm,
      liftsOff,
      leastKg: counterweightKg,
      mostKg: mostWithin(massKg, beyondMm, armMm, third),
      tipsKg: mostWithin(massKg, beyondMm, armMm, wayHalfLengthMm),
    }
  })
}

/** Of the ends that need a weight, the one that needs most. */
export const heaviest = (outs: readonly RunOut[]): RunOut | undefined =>
  outs.filter(({ leastKg }) => leastKg > 0).toSorted((a, b) => b.leastKg - a.leastKg)[0]
