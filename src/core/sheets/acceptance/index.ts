import { defineSheet } from '../sheet'

/** Who takes the machine over in what state, what is still open, and when it is proved again. */
export const acceptance = defineSheet({
  id: 'acceptance',
  stage: 'machine',
  order: 60,
  loads: 'asked',
  title: 'Acceptance',
})
