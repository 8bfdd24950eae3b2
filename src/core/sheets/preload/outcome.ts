import { defineOutcome } from '../outcome'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { preloadDrag } from './calculation'
import { preloadRounds } from './rounds'

/** The drag that preload adds, and the rounds of setting it on paper. */
export const preloadOutcome = defineOutcome({
  calculations: [preloadDrag],
  paper: context => roundsOnPaper(preloadRounds, context),
})
