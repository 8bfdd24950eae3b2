import { defineOutcome } from '../outcome'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { waysFriction as waysFrictionFigure } from './calculation'
import { waysRounds } from './rounds'

/** The friction of the ways, and its rounds on paper. */
export const waysFrictionOutcome = defineOutcome({
  calculations: [waysFrictionFigure],
  paper: context => roundsOnPaper(waysRounds, context),
})
