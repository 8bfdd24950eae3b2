import { setIn } from '../../../document/setIn'
import { type Option, offered, type RemedyFinder } from '../../../evaluation/remedy'
import type { NumberField } from '../../../field/field'
import { say } from '../../../units/print'
import type { Round } from './model'
import { lastRound, type Rounds } from './rounds'

/** What is accepted grows by these, until the readings surely lie within it. */
const STEPS = [1.02, 1.1, 1.25, 1.5, 2, 3]
const DIGITS = 3

/**
 * A wish of the last round given up: what it accepts is raised to what was read.
 *
 * @param key the field of the round that says what is accepted
 * @param found what was read
 * @param cost what is lost with it
 */
export function accept<R extends Round>(
  rounds: Rounds<R>,
  key: keyof R & string,
  found: (round: R) => number | null,
  cost: string,
): RemedyFinder {
  const field = rounds.of.of[key] as NumberField
  const optionOf = (raised: number): RemedyFinder =>
    offered(({ axis, units }): Option | null => {
      const round = lastRound(rounds, axis)
      const read = round && found(round)
      if (!round || read === null || read === undefined) return null
      const value = Number((Math.abs(read) * raised).toPrecision(DIGITS))
      if (value < field.min || value > field.max) return null
      const unit = field.unit ? ` ${field.unit}` : ''
      return {
        change: draft => {
          setIn(lastRound(rounds, draft), key, value as R[typeof key])
        },
        label: `${field.label}: ${say(value, field.quantity, units)}${unit}`,
        cost,
      }
    })
  return trial => {
    for (const raised of STEPS) {
      const [option] = optionOf(raised)(trial)
      if (option) return [option]
    }
    return []
  }
}
