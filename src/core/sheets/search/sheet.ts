import { defineSheet } from '../sheet'

/** The drives of the whole parts list that nothing beats. */
export const search = defineSheet({ id: 'search', stage: 'size', title: 'Search the parts list' })
