import { defineSheet } from '../sheet'
import { DRAG_ROUNDS, TURN_ROUNDS } from './model'

/** What it takes to turn the screw, along the travel and over one turn: the map of what binds. */
export const drag = defineSheet({
  id: 'drag',
  stage: 'align',
  order: 40,
  loads: 'stage',
  title: 'Drag and tight spots',
  fields: { dragRounds: DRAG_ROUNDS, turnRounds: TURN_ROUNDS },
})
