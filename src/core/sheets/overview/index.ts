import { defineSheet } from '../sheet'

/** Where every axis of the machine stands, and what it needs next. */
export const overview = defineSheet({
  id: 'overview',
  stage: 'machine',
  order: 10,
  loads: 'asked',
  title: 'Overview',
})
