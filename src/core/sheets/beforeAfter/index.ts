import { defineSheet } from '../sheet'

/** Two tests of one axis, place by place: whether what was done between them made a difference. */
export const beforeAfter = defineSheet({
  id: 'beforeAfter',
  stage: 'prove',
  order: 30,
  loads: 'asked',
  title: 'Before and after',
})
