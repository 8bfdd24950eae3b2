import { defineOutcome } from '../outcome'
import { accept } from '../shared/rounds/acceptMore'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { levelSteps, straightness } from './calculation'
import { railRounds, widthOf } from './rounds'

/** The straightness of rails, and their rounds on paper. */
export const railsOutcome = defineOutcome({
  calculations: [straightness, levelSteps],
  remedies: {
    'align.rails': [
      accept(railRounds, 'acceptedUm', widthOf, 'carriages bind or wear where the rail is off'),
    ],
  },
  paper: context => roundsOnPaper(railRounds, context),
})
