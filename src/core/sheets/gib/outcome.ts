import { defineOutcome } from '../outcome'
import { accept } from '../shared/rounds/acceptMore'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { gibSet } from './calculation'
import { gibRounds, playsOf } from './rounds'

/** The setting of the gib, and its rounds on paper. */
export const gibOutcome = defineOutcome({
  calculations: [gibSet],
  remedies: {
    'align.gib': [
      accept(
        gibRounds,
        'targetUm',
        round => Math.min(...playsOf(round).map(({ playUm }) => playUm)),
        'the slide rocks by that in every cut across',
      ),
    ],
  },
  paper: context => roundsOnPaper(gibRounds, context),
})
