import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsInShort } from '../shared/rounds/roundsOnPaper'
import { lostSteps } from './calculation'
import { returnRounds } from './rounds'

/** Cycles lost, and the rounds on paper. */
export const lostStepsOutcome = defineOutcome({
  calculations: [lostSteps],
  remedies: { 'prove.steps': [goal('backlashTargetUm')] },
  paper: context => roundsInShort(returnRounds, context),
})
