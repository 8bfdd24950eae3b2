import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsInShort } from '../shared/rounds/roundsOnPaper'
import { oncePerTurn } from './calculation'
import { waveRounds } from './rounds'

/** The wave of a turn, and the rounds on paper. */
export const oneTurnOutcome = defineOutcome({
  calculations: [oncePerTurn],
  remedies: { 'prove.oncePerTurn': [goal('accuracyTargetUm')] },
  paper: context => roundsInShort(waveRounds, context),
})
