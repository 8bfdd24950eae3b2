import { defineSheet } from '../sheet'

/** What is done when, and what holds it up. */
export const schedule = defineSheet({
  id: 'schedule',
  stage: 'machine',
  order: 20,
  loads: 'first',
  title: 'Schedule',
})
