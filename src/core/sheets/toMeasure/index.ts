import { defineSheet } from '../sheet'

/** What is still assumed, in one list. */
export const toMeasure = defineSheet({
  id: 'toMeasure',
  stage: 'survey',
  order: 40,
  loads: 'first',
  title: 'Still to measure',
})
