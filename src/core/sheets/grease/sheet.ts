import { defineSheet } from '../sheet'
import { GREASE_CHECKS } from './check'
import { GREASINGS, LUBE, LUBE_POINTS } from './model'

/** Where the axis is greased, with what, how much, and when next. */
export const grease = defineSheet({
  id: 'grease',
  stage: 'build',
  title: 'Grease',
  fields: { lube: LUBE, lubePoints: LUBE_POINTS, greasings: GREASINGS },
  checks: GREASE_CHECKS,
})
