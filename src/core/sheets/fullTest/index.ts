import { defineSheet } from '../sheet'
import { FULL_TESTS } from './model'

/** Targets along the travel, come to from both sides, run by run: accuracy, repeatability and reversal. */
export const fullTest = defineSheet({
  id: 'fullTest',
  stage: 'prove',
  order: 20,
  loads: 'stage',
  title: 'Full test',
  fields: { fullTests: FULL_TESTS },
})
