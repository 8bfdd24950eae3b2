import { defineOutcome } from '../outcome'
import { accept } from '../shared/rounds/acceptMore'
import { gantrySquare } from '../shared/rounds/gantrySquare'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { squareReversal } from './calculation'
import { squareRounds, umPerMOf } from './rounds'

/** The square of a gantry or of two axes, and its rounds on paper. */
export const squareOutcome = defineOutcome({
  calculations: [gantrySquare, squareReversal],
  remedies: {
    'align.square': [accept(squareRounds, 'acceptedUmPerM', umPerMOf, 'what is cut comes out as much askew')],
  },
  paper: context => roundsOnPaper(squareRounds, context),
})
