import { defineSheet } from '../sheet'

/** What the builder wants from the axis. */
export const goals = defineSheet({
  id: 'goals',
  stage: 'survey',
  order: 30,
  loads: 'first',
  title: 'What you want from it',
})
