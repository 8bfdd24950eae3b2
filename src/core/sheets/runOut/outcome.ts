import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { runOutRounds } from './rounds'

/** The rounds of run-out on paper. */
export const runOutOutcome = defineOutcome({
  remedies: { 'align.runOut': [goal('alignmentTargetUm')] },
  paper: context => roundsOnPaper(runOutRounds, context),
})
