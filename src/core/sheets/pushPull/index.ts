import { defineSheet } from '../sheet'
import { PUSH_ROUNDS } from './model'

/** The slide pushed and pulled: what is play, which does not grow with the force, and what is give, which does. */
export const pushPull = defineSheet({
  id: 'pushPull',
  stage: 'prove',
  order: 50,
  loads: 'stage',
  title: 'Push and pull',
  fields: { pushRounds: PUSH_ROUNDS },
})
