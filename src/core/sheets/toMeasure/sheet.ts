import { defineSheet } from '../sheet'

/** What is still assumed, in one list. */
export const toMeasure = defineSheet({ id: 'toMeasure', stage: 'survey', title: 'Still to measure' })
