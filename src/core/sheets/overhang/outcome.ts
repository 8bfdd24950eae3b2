import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { overhangRounds } from './rounds'

/** What mends a droop, and its rounds on paper. */
export const overhangOutcome = defineOutcome({
  remedies: { 'align.droop': [goal('alignmentTargetUm')] },
  paper: context => roundsOnPaper(overhangRounds, context),
})
