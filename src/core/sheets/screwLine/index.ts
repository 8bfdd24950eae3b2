import { defineSheet } from '../sheet'
import { ROUNDS } from './model'

/** The line of the screw, read round by round, and which block to move. */
export const screwLine = defineSheet({
  id: 'screwLine',
  stage: 'align',
  order: 10,
  loads: 'stage',
  title: 'Line of the screw',
  fields: { rounds: ROUNDS },
})
