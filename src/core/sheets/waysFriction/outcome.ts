import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { outcomeOf } from '../outcome'
import { waysFriction as waysFrictionFigure } from './calculation'
import { WAYS_FRICTION_CHECKS } from './check'
import { waysRounds } from './rounds'

/** The friction of the ways, and its rounds on paper. */
export const waysFrictionOutcome = outcomeOf(WAYS_FRICTION_CHECKS, {
  calculations: [waysFrictionFigure],
  paper: context => roundsOnPaper(waysRounds, context),
})
