import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { outcomeOf } from '../outcome'
import { clutchTorque, dragAlongTravel, dragOncePerTurn } from './calculation'
import { dragRounds, turnRounds } from './rounds'
import { drag } from './sheet'

/** Drag along the travel and over one turn, and its rounds on paper. */
export const dragOutcome = outcomeOf(drag, {
  calculations: [clutchTorque, dragAlongTravel, dragOncePerTurn],
  paper: context => [...roundsOnPaper(dragRounds, context), ...roundsOnPaper(turnRounds, context)],
})
