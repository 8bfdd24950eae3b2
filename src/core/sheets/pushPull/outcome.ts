import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsInShort } from '../shared/rounds/roundsOnPaper'
import { pushPull } from './calculation'
import { pushRounds } from './rounds'

/** Play and give, and the rounds on paper. */
export const pushPullOutcome = defineOutcome({
  calculations: [pushPull],
  remedies: { 'prove.pushPull': [goal('backlashTargetUm')] },
  paper: context => roundsInShort(pushRounds, context),
})
