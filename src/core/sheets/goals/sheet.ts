import { defineSheet } from '../sheet'

/** What the builder wants from the axis. */
export const goals = defineSheet({ id: 'goals', stage: 'survey', title: 'What you want from it' })
