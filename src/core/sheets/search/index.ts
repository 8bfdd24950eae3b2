import { defineSheet } from '../sheet'
import { SEARCH_WITHIN } from './model'

/** The drives of the whole parts list that nothing beats. */
export const search = defineSheet({
  id: 'search',
  stage: 'size',
  order: 20,
  loads: 'first',
  title: 'Search the parts list',
  fields: { searchWithin: SEARCH_WITHIN },
})
