import { defineSheet } from '../sheet'
import { TICKS } from './model'

/** The ordered steps that build the axis, and how far each joint is done up. */
export const steps = defineSheet({
  id: 'steps',
  stage: 'build',
  title: 'Steps of the build',
  fields: { ticks: TICKS },
  overlayLater: () => import('./boltMarks').then(module => module.boltMarks),
})
