import { defineSheet } from '../sheet'

/** What each part adds to the lost motion of the drive. */
export const lostMotion = defineSheet({
  id: 'lostMotion',
  stage: 'size',
  order: 80,
  loads: 'first',
  title: 'Lost motion by its causes',
})
