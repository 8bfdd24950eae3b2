import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { lostSteps } from '../shared/proofs/lostSteps'
import { roundsInShort } from '../shared/rounds/roundsOnPaper'
import { returnRounds } from './rounds'

/** Cycles lost, and the rounds on paper. */
export const lostStepsOutcome = defineOutcome({
  calculations: [lostSteps],
  remedies: { 'prove.steps': [goal('backlashTargetUm')] },
  paper: context => roundsInShort(returnRounds, context),
})
