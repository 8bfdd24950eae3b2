import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { goal } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { counterweight } from './calculation'
import { OVERHANG_CHECKS } from './check'
import { overhangRounds } from './rounds'

/** The weight against an overhang, and its rounds on paper. */
export const overhangOutcome = outcomeOf(OVERHANG_CHECKS, {
  calculations: [counterweight],
  remedies: { 'align.droop': [goal('alignmentTargetUm')] },
  paper: context => roundsOnPaper(overhangRounds, context),
})
