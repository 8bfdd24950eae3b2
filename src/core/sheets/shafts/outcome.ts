import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { part } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { couplerLine } from './calculation'
import { SHAFTS_CHECKS } from './check'
import { beltRounds, couplerRounds } from './rounds'

/** The line of two shafts, and its rounds on paper. */
export const shaftsOutcome = outcomeOf(SHAFTS_CHECKS, {
  calculations: [couplerLine],
  remedies: { 'align.coupler': [part('coupler')] },
  paper: context => [...roundsOnPaper(couplerRounds, context), ...roundsOnPaper(beltRounds, context)],
})
