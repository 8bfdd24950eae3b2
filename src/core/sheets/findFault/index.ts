import { defineSheet } from '../sheet'
import { FAULT_SEARCHES } from './model'

/** What is wrong with an axis, found from a complaint by the checks that tell most in a minute. */
export const findFault = defineSheet({
  id: 'findFault',
  stage: 'prove',
  order: 110,
  loads: 'asked',
  title: 'Find the fault',
  fields: { faultSearches: FAULT_SEARCHES },
})
