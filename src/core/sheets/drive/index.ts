import { defineSheet } from '../sheet'

/** Coupler or belt, one screw or two, handwheel, microsteps. */
export const drive = defineSheet({
  id: 'drive',
  stage: 'size',
  order: 30,
  loads: 'first',
  title: 'Kind of drive',
})
