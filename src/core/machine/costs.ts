import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'
import { money, say } from '../units/print'
import type { QuantityKind, UnitSystem } from '../units/quantity'
import { driveEur, driveHeightMm } from './drive/price'
import { lostMotionBudget } from './drive/stiffness'
import { torqueMargin } from './drive/torque'
import { movingPart } from './movingPart'

/** What a drive comes to besides its verdicts; each with how a difference in it is said. */
const COSTS: {
  of: (t: EvaluationContext) => number
  quantity: QuantityKind | 'eur'
  words: (difference: string, more: boolean, part: string) => string
}[] = [
  { of: driveEur, quantity: 'eur', words: (by, more) => `${by} ${more ? 'more' : 'less'}` },
  {
    of: driveHeightMm,
    quantity: 'length',
    words: (by, more, part) => `${by} ${more ? 'higher' : 'lower'} under the ${part}`,
  },
  {
    of: t => lostMotionBudget(t).totalUm,
    quantity: 'smallLength',
    words: (by, more) => `loses ${by} ${more ? 'more' : 'less'}`,
  },
  {
    of: t => torqueMargin(t).requiredNm,
    quantity: 'torque',
    words: (by, more) => `asks ${by} ${more ? 'more' : 'less'} torque`,
  },
]

/**
 * What a change costs elsewhere, in words: price, height under the slide, lost motion, torque asked of the motor.
 *
 * @returns one phrase for each that differs by more than it is printed to; none where nothing does
 * @example costWords(before, after, 'mm') // ['€34 more', '6 mm higher under the table']
 */
export function costWords(before: EvaluationContext, after: EvaluationContext, units: UnitSystem): string[] {
  return COSTS.flatMap(({ of, quantity, words }) => {
    const was = known(before, of)
    const is = known(after, of)
    if (was === null || is === null) return []
    const size = Math.abs(is - was)
    const by = quantity === 'eur' ? money(size) : say(size, quantity, units)
    return /[1-9]/.test(by) ? [words(by, is > was, movingPart(after.axis))] : []
  })
}

const known = (t: EvaluationContext, of: (t: EvaluationContext) => number): number | null =>
  attempt(() => of(t)).value ?? null

/** Price of the drive; null while it is not known. */
export const priceEur = (t: EvaluationContext): number | null => known(t, driveEur)
