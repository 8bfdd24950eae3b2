import { defineSheet } from '../sheet'
import { LOST_ROUNDS } from './model'

/** The same push and pull read at five places: which part of the drive loses how much. */
export const whereLost = defineSheet({
  id: 'whereLost',
  stage: 'prove',
  order: 60,
  loads: 'stage',
  title: 'Where it is lost',
  fields: { lostRounds: LOST_ROUNDS },
})
