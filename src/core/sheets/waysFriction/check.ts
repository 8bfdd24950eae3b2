import { GRAVITY_M_PER_S2 } from '../../calculation/constants'
import { defineChecks } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { factorWords } from '../../readings/plausible'
import { sentenceCase } from '../../units/sentenceCase'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { against, noAdvice } from '../shared/rounds/roundFinding'
import type { WaysRound } from './model'
import { frictionOf, frictionRead, pullsOf, waysRounds } from './rounds'

/** Dry cast iron rubs no harder; what does is a slip of typing, or a slide that binds. */
const MOST_FRICTION = 0.6
/** So far from what Survey has, it is said; so many times as much or less, it is pulled once more before. */
const OTHERWISE = 0.2
const FAR_TIMES = 1.6

/** A drag is known to this share of what the bare slide takes. */
const NOTHING_SHARE = 0.2

/** Two rounds that differ by less say the same. */
const ALIKE = 0.2
/** Whether another round says about the same pull of the bare slide. */
function isLike(t: EvaluationContext, round: WaysRound, readN: number): boolean {
  const other = frictionOf(t, round, `ways.${round.id}`)
  if (!other) return false
  const otherN = other.dragN + other.frictionCoefficient * GRAVITY_M_PER_S2 * round.massKg
  return Math.abs(otherN / readN - 1) < ALIKE
}

export const WAYS_FRICTION_CHECKS = defineChecks({
  'align.waysFriction': {
    title: 'Friction of the ways',
    subject: 'line',
    judge: judgeRounds(waysRounds, (t, round, say) => {
      const pulls = pullsOf(round)
      const found = frictionRead(t)
      if (!found)
        return noAdvice(
          'Pull the slide slowly along with two or more different weights laid on it: a vice will do.',
        )
      const { frictionCoefficient, dragN } = found
      if (frictionCoefficient <= 0)
        return noAdvice(
          'The pull does not grow with the weight. Were weights and pulls typed in each other’s column? Else the gib holds more than the ways: slack it and pull again.',
        )
      if (frictionCoefficient > MOST_FRICTION)
        return noAdvice(
          `A friction of ${say(frictionCoefficient, 'ratio', 2)} is more than dry iron has: check the unit of the pulls, and that nothing binds.`,
        )
      const bareN = frictionCoefficient * GRAVITY_M_PER_S2 * round.massKg
      // The line is known no better: a little less than nothing is nothing.
      if (dragN < -NOTHING_SHARE * bareN)
        return noAdvice(
          'The line through the pulls asks for a push where the slide weighs nothing: check the mass of the slide, and pull again with a weight between.',
        )
      const survey = t.axis.dimensions
      const reckonedN =
        (survey.dragN.value ?? 0) + (survey.frictionCoefficient.value ?? 0) * GRAVITY_M_PER_S2 * round.massKg
      const readN = dragN + frictionCoefficient * GRAVITY_M_PER_S2 * round.massKg
      const times = readN / Math.max(reckonedN, 1e-9)
      const { value, provenance } = survey.frictionCoefficient
      const factor = value !== null && factorWords(times)
      const before = t.axis.waysRounds.at(-2)
      // Read twice alike it is so: then the figure of Survey is what was wrong.
      const isAgain = before !== undefined && isLike(t, before, readN)
      if (factor && !isAgain)
        return noAdvice(
          `It takes ${say(readN, 'force', 0)} to move the slide, and by Survey ${say(reckonedN, 'force', 0)}: ${say(times >= 1 ? times : 1 / times, 'ratio', 1)} times ${times >= 1 ? 'as much' : 'less'}. ${sentenceCase(factor)}? Look at the scale and at Survey; if both are right, pull once more in another round.`,
        )
      // An estimate may be that far off; two measurements seldom are.
      if (value !== null && provenance === 'measured' && !isAgain && Math.max(times, 1 / times) > FAR_TIMES)
        return noAdvice(
          `It takes ${say(readN, 'force', 0)} to move the slide, where Survey has ${say(reckonedN, 'force', 0)}. A scale that reads otherwise, or a figure that was put down wrongly, looks so: hang a known mass on the scale (1 kg pulls ${say(GRAVITY_M_PER_S2, 'force', 1)}), and pull once more in another round. If it comes again, it is so.`,
        )
      const otherwise = Math.abs(readN - reckonedN) > OTHERWISE * readN
      const said = `Friction ${say(frictionCoefficient, 'ratio', 3)}, drag of gib and wipers ${say(Math.max(0, dragN), 'force', 0)}`
      const few = pulls.length < 3 ? ' Two weights always make a straight line: a third would check it.' : ''
      return against(otherwise ? 'close' : 'holds', 'force', [readN, reckonedN], () =>
        otherwise
          ? `${said}: ${say(readN, 'force', 0)} to move the slide, where Survey has ${say(reckonedN, 'force', 0)}. Put them into Survey: motor and lost motion are reckoned from them.${few}`
          : `${said}: about as Survey has it.${few}`,
      )
    }),
  },
})
