import { defineSheet } from '../sheet'
import { LIMITS } from './limits'
import { RECESS_METAL } from './model'

/** What travel is left between the stops, and what brings it back. */
export const travel = defineSheet({
  id: 'travel',
  stage: 'room',
  order: 10,
  loads: 'first',
  title: 'Travel budget',
  fields: { recessMetal: RECESS_METAL },
  limits: LIMITS,
})
