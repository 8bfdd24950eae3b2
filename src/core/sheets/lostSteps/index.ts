import { defineSheet } from '../sheet'
import { RETURN_ROUNDS } from './model'

/** Coming back to zero after fast moves: steps that are lost, or a hub that slips. */
export const lostSteps = defineSheet({
  id: 'lostSteps',
  stage: 'prove',
  order: 70,
  loads: 'stage',
  title: 'Lost steps',
  fields: { returnRounds: RETURN_ROUNDS },
})
