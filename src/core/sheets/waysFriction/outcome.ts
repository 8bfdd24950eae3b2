import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { outcomeOf } from '../outcome'
import { waysFriction as waysFrictionFigure } from './calculation'
import { waysRounds } from './rounds'
import { waysFriction } from './sheet'

/** The friction of the ways, and its rounds on paper. */
export const waysFrictionOutcome = outcomeOf(waysFriction, {
  calculations: [waysFrictionFigure],
  paper: context => roundsOnPaper(waysRounds, context),
})
