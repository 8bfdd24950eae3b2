import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { part } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { couplerLine } from './calculation'
import { beltRounds, couplerRounds } from './rounds'
import { shafts } from './sheet'

/** The line of two shafts, and its rounds on paper. */
export const shaftsOutcome = outcomeOf(shafts, {
  calculations: [couplerLine],
  remedies: { 'align.coupler': [part('coupler')] },
  paper: context => [...roundsOnPaper(couplerRounds, context), ...roundsOnPaper(beltRounds, context)],
})
