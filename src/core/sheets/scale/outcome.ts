import { roundsInShort } from '../../drawing/roundsOnPaper'
import { goal } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { scaleTest } from './calculation'
import { SCALE_CHECKS } from './check'
import { scaleRounds } from './rounds'

/** The scale and the steps that put it right, and the rounds on paper. */
export const scaleOutcome = outcomeOf(SCALE_CHECKS, {
  calculations: [scaleTest],
  remedies: { 'prove.scale': [goal('accuracyTargetUm')] },
  paper: context => roundsInShort(scaleRounds, context),
})
