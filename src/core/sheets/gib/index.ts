import { defineSheet } from '../sheet'
import { GIB_ROUNDS } from './model'

/** The gib: how much play it leaves along the travel, and how far its screw turns. */
export const gib = defineSheet({
  id: 'gib',
  stage: 'align',
  order: 70,
  loads: 'stage',
  title: 'Gib',
  fields: { gibRounds: GIB_ROUNDS },
})
