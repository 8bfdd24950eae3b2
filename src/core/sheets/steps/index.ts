import {
  BUILD_SCHOOLS,
  DRIVE_MOUNTED_AT,
  MISHAPS,
  STEP_NOTES,
  SUPPORT_DOUBTED_AT,
  SUPPORTS,
  TICKS,
  TOUCHED,
} from '../shared/steps/model'
import { defineSheet } from '../sheet'

/** The ordered steps that build the axis, and how far each joint is done up. */
export const steps = defineSheet({
  id: 'steps',
  stage: 'build',
  order: 10,
  loads: 'asked',
  title: 'Steps of the build',
  fields: {
    ticks: TICKS,
    stepNotes: STEP_NOTES,
    mishaps: MISHAPS,
    buildSchools: BUILD_SCHOOLS,
    supports: SUPPORTS,
    supportDoubtedAt: SUPPORT_DOUBTED_AT,
    driveMountedAt: DRIVE_MOUNTED_AT,
    touched: TOUCHED,
  },
})
