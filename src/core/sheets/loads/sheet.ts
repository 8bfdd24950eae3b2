import { defineSheet } from '../sheet'

/** What moves, what holds it up, what rubs, and how the motor stands to the screw. */
export const loads = defineSheet({ id: 'loads', stage: 'survey', title: 'Loads' })
