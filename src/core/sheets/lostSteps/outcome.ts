import { roundsInShort } from '../../drawing/roundsOnPaper'
import { goal } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { lostSteps } from './calculation'
import { LOST_STEPS_CHECKS } from './check'
import { returnRounds } from './rounds'

/** Cycles lost, and the rounds on paper. */
export const lostStepsOutcome = outcomeOf(LOST_STEPS_CHECKS, {
  calculations: [lostSteps],
  remedies: { 'prove.steps': [goal('backlashTargetUm')] },
  paper: context => roundsInShort(returnRounds, context),
})
