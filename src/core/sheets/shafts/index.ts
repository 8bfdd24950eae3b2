import { defineSheet } from '../sheet'
import { BELT_ROUNDS, COUPLER_ROUNDS } from './model'

/** How motor and screw stand to each other: hubs of a coupler, or pulleys of a belt. */
export const shafts = defineSheet({
  id: 'shafts',
  stage: 'align',
  order: 30,
  loads: 'stage',
  title: 'Motor to screw',
  fields: { couplerRounds: COUPLER_ROUNDS, beltRounds: BELT_ROUNDS },
})
