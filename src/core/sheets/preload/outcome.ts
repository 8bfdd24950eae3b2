import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { outcomeOf } from '../outcome'
import { preloadDrag } from './calculation'
import { preloadRounds } from './rounds'
import { preload } from './sheet'

/** The drag that preload adds, and the rounds of setting it on paper. */
export const preloadOutcome = outcomeOf(preload, {
  calculations: [preloadDrag],
  paper: context => roundsOnPaper(preloadRounds, context),
})
