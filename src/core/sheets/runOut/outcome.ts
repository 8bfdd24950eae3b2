import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { goal } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { RUN_OUT_CHECKS } from './check'
import { runOutRounds } from './rounds'

/** The rounds of run-out on paper. */
export const runOutOutcome = outcomeOf(RUN_OUT_CHECKS, {
  remedies: { 'align.runOut': [goal('alignmentTargetUm')] },
  paper: context => roundsOnPaper(runOutRounds, context),
})
