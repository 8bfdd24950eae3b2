import { defineSheet } from '../sheet'
import { TESTS } from './model'

/** What a reversal loses, measured at places of the travel. */
export const reversal = defineSheet({
  id: 'reversal',
  stage: 'prove',
  order: 10,
  loads: 'stage',
  title: 'Reversal test',
  fields: { tests: TESTS },
})
