import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsInShort } from '../shared/rounds/roundsOnPaper'
import { zeroAgainstTime } from './calculation'
import { zeroRounds } from './rounds'

/** Growth and jumps over time, and the rounds on paper. */
export const zeroTimeOutcome = defineOutcome({
  calculations: [zeroAgainstTime],
  remedies: { 'prove.zeroTime': [goal('accuracyTargetUm')] },
  paper: context => roundsInShort(zeroRounds, context),
})
