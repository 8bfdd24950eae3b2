import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsInShort } from '../shared/rounds/roundsOnPaper'
import { scaleTest } from './calculation'
import { scaleRounds } from './rounds'

/** The scale and the steps that put it right, and the rounds on paper. */
export const scaleOutcome = defineOutcome({
  calculations: [scaleTest],
  remedies: { 'prove.scale': [goal('accuracyTargetUm')] },
  paper: context => roundsInShort(scaleRounds, context),
})
