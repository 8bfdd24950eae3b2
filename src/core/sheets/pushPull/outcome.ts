import { roundsInShort } from '../../drawing/roundsOnPaper'
import { goal } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { pushPull } from './calculation'
import { PUSH_PULL_CHECKS } from './check'
import { pushRounds } from './rounds'

/** Play and give, and the rounds on paper. */
export const pushPullOutcome = outcomeOf(PUSH_PULL_CHECKS, {
  calculations: [pushPull],
  remedies: { 'prove.pushPull': [goal('backlashTargetUm')] },
  paper: context => roundsInShort(pushRounds, context),
})
