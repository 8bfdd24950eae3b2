import { defineSheet } from '../sheet'

/** What is still assumed, and how to measure it. */
export const toMeasure = defineSheet({ id: 'toMeasure', stage: 'survey', title: 'Still to measure' })
