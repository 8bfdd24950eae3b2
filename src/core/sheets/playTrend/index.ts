import { defineSheet } from '../sheet'

/** How the play of an axis grows as it runs, and when it passes what is wanted. */
export const playTrend = defineSheet({
  id: 'playTrend',
  stage: 'prove',
  order: 35,
  loads: 'asked',
  title: 'Trend of the play',
})
