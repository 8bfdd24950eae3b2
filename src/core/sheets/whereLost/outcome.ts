import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsInShort } from '../shared/rounds/roundsOnPaper'
import { split } from './calculation'
import { lostRounds } from './rounds'

/** The five shares, and the rounds on paper. */
export const whereLostOutcome = defineOutcome({
  calculations: [split],
  remedies: { 'prove.whereLost': [goal('backlashTargetUm')] },
  paper: context => roundsInShort(lostRounds, context),
})
