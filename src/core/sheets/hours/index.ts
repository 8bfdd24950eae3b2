import { defineSheet } from '../sheet'

/** When there is time for it. */
export const hours = defineSheet({
  id: 'hours',
  stage: 'machine',
  order: 30,
  loads: 'first',
  title: 'Working hours',
})
