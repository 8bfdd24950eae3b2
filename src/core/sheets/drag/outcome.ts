import { roundsOnPaper } from '../../drawing/roundsOnPaper'
import { outcomeOf } from '../outcome'
import { clutchTorque, dragAlongTravel, dragOncePerTurn } from './calculation'
import { DRAG_CHECKS } from './check'
import { dragRounds, turnRounds } from './rounds'

/** Drag along the travel and over one turn, and its rounds on paper. */
export const dragOutcome = outcomeOf(DRAG_CHECKS, {
  calculations: [clutchTorque, dragAlongTravel, dragOncePerTurn],
  paper: context => [...roundsOnPaper(dragRounds, context), ...roundsOnPaper(turnRounds, context)],
})
