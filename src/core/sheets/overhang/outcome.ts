import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { counterweight } from './calculation'
import { overhangRounds } from './rounds'

/** The weight against an overhang, and its rounds on paper. */
export const overhangOutcome = defineOutcome({
  calculations: [counterweight],
  remedies: { 'align.droop': [goal('alignmentTargetUm')] },
  paper: context => roundsOnPaper(overhangRounds, context),
})
