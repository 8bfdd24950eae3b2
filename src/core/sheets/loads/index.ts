import { defineSheet } from '../sheet'

/** What moves, what holds it up, and what rubs. */
export const loads = defineSheet({ id: 'loads', stage: 'survey', order: 20, loads: 'first', title: 'Loads' })
