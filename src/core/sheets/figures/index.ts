import { defineSheet } from '../sheet'

/** Torque over speed, stiffness over travel, life against preload. */
export const figures = defineSheet({
  id: 'figures',
  stage: 'size',
  order: 70,
  loads: 'first',
  title: 'Charts',
})
