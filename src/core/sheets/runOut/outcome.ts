import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { goal } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { runOutRounds } from './rounds'
import { runOut } from './sheet'

/** The rounds of run-out on paper. */
export const runOutOutcome = outcomeOf(runOut, {
  remedies: { 'align.runOut': [goal('alignmentTargetUm')] },
  paper: context => roundsOnPaper(runOutRounds, context),
})
