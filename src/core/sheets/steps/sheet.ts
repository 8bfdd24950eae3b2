import { BUILD_SCHOOLS, MISHAPS, STEP_NOTES, TICKS } from '../../machine/build/model'
import { defineSheet } from '../sheet'

/** The ordered steps that build the axis, and how far each joint is done up. */
export const steps = defineSheet({
  id: 'steps',
  stage: 'build',
  title: 'Steps of the build',
  fields: { ticks: TICKS, stepNotes: STEP_NOTES, mishaps: MISHAPS, buildSchools: BUILD_SCHOOLS },
  overlayLater: () => import('./boltMarks').then(module => module.boltMarks),
})
