import { defineOutcome } from '../outcome'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { clutchTorque, dragAlongTravel, dragOncePerTurn } from './calculation'
import { dragRounds, turnRounds } from './rounds'

/** Drag along the travel and over one turn, and its rounds on paper. */
export const dragOutcome = defineOutcome({
  calculations: [clutchTorque, dragAlongTravel, dragOncePerTurn],
  paper: context => [...roundsOnPaper(dragRounds, context), ...roundsOnPaper(turnRounds, context)],
})
