import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { outcomeOf } from '../outcome'
import { preloadDrag } from './calculation'
import { PRELOAD_CHECKS } from './check'
import { preloadRounds } from './rounds'

/** The drag that preload adds, and the rounds of setting it on paper. */
export const preloadOutcome = outcomeOf(PRELOAD_CHECKS, {
  calculations: [preloadDrag],
  paper: context => roundsOnPaper(preloadRounds, context),
})
