import type { Calculation } from '../../calculation/calculation'
import { attempt } from '../../evaluation/attempt'
import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { accept } from '../shared/rounds/acceptMore'
import { roundsInShort } from '../shared/rounds/roundsOnPaper'
import { circleTest } from './calculation'
import { acrossOf, canTell, circleRounds, measuredSquare } from './rounds'

/** A figure worked out for its own sake, without keeping its working. */
const PLAIN = { figure: <I, O>(_: string, calculate: Calculation<I, O>, inputs: I) => calculate(inputs) }

/** What a circle says of two axes, and the rounds on paper. */
export const circleOutcome = defineOutcome({
  calculations: [circleTest],
  remedies: {
    'prove.circleSquare': [
      accept(
        circleRounds,
        'acceptedUmPerM',
        round => {
          const diameters = acrossOf(round)
          return canTell(diameters) ? circleTest({ diameters }).squarenessUmPerM : null
        },
        'what is cut is so much out of square',
      ),
    ],
    'prove.cutSquare': [
      accept(
        circleRounds,
        'acceptedUmPerM',
        round => attempt(() => measuredSquare(PLAIN, round)).value?.umPerM ?? null,
        'what is cut is so much out of square',
      ),
    ],
    'prove.circleScale': [goal('accuracyTargetUm')],
  },
  paper: context => roundsInShort(circleRounds, context),
})
