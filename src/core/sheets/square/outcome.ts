import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { gantrySquare } from '../../machine/align/gantrySquare'
import { accept } from '../../machine/align/remedies'
import { outcomeOf } from '../outcome'
import { squareReversal } from './calculation'
import { SQUARE_CHECKS } from './check'
import { squareRounds, umPerMOf } from './rounds'

/** The square of a gantry or of two axes, and its rounds on paper. */
export const squareOutcome = outcomeOf(SQUARE_CHECKS, {
  calculations: [gantrySquare, squareReversal],
  remedies: {
    'align.square': [accept(squareRounds, 'acceptedUmPerM', umPerMOf, 'what is cut comes out as much askew')],
  },
  paper: context => roundsOnPaper(squareRounds, context),
})
