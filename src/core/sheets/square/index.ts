import { defineSheet } from '../sheet'
import { SQUARE_ROUNDS } from './model'

/** Square of a gantry by its diagonals, or of two axes by a square that is turned over; and whether two screws keep it. */
export const square = defineSheet({
  id: 'square',
  stage: 'align',
  order: 90,
  loads: 'stage',
  title: 'Square',
  fields: { squareRounds: SQUARE_ROUNDS },
})
