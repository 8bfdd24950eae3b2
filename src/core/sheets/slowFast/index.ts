import { defineSheet } from '../sheet'

/** Two reversal tests that differ in one thing: the feed that they came at, or the warmth of the machine. */
export const slowFast = defineSheet({
  id: 'slowFast',
  stage: 'prove',
  order: 40,
  loads: 'stage',
  title: 'Slow, fast, cold, warm',
})
