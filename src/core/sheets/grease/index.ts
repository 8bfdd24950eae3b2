import { defineSheet } from '../sheet'
import { GREASINGS, LUBE, LUBE_POINTS } from './model'

/** Where the axis is greased, with what, how much, and when next. */
export const grease = defineSheet({
  id: 'grease',
  stage: 'build',
  order: 40,
  loads: 'stage',
  title: 'Grease',
  fields: { lube: LUBE, lubePoints: LUBE_POINTS, greasings: GREASINGS },
})
