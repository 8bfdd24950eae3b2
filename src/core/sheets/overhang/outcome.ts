import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { goal } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { counterweight } from './calculation'
import { overhangRounds } from './rounds'
import { overhang } from './sheet'

/** The weight against an overhang, and its rounds on paper. */
export const overhangOutcome = outcomeOf(overhang, {
  calculations: [counterweight],
  remedies: { 'align.droop': [goal('alignmentTargetUm')] },
  paper: context => roundsOnPaper(overhangRounds, context),
})
