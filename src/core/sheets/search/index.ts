import { defineSheet } from '../sheet'

/** The drives of the whole parts list that nothing beats. */
export const search = defineSheet({
  id: 'search',
  stage: 'size',
  order: 20,
  loads: 'first',
  title: 'Search the parts list',
})
