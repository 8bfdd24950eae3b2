import { part } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { couplerLine } from './calculation'
import { beltRounds, couplerRounds } from './rounds'

/** The line of two shafts, and its rounds on paper. */
export const shaftsOutcome = defineOutcome({
  calculations: [couplerLine],
  remedies: { 'align.coupler': [part('coupler')] },
  paper: context => [...roundsOnPaper(couplerRounds, context), ...roundsOnPaper(beltRounds, context)],
})
