import { roundsInShort } from '../../drawing/roundsOnPaper'
import { goal } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { split } from './calculation'
import { WHERE_LOST_CHECKS } from './check'
import { lostRounds } from './rounds'

/** The five shares, and the rounds on paper. */
export const whereLostOutcome = outcomeOf(WHERE_LOST_CHECKS, {
  calculations: [split],
  remedies: { 'prove.whereLost': [goal('backlashTargetUm')] },
  paper: context => roundsInShort(lostRounds, context),
})
