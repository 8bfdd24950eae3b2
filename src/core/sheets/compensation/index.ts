import { defineSheet } from '../sheet'
import { COMPENSATION } from './model'

/** What a controller can put right, once nothing is loose: backlash, and a table of corrections along the travel. */
export const compensation = defineSheet({
  id: 'compensation',
  stage: 'prove',
  order: 120,
  loads: 'asked',
  title: 'Compensation',
  fields: { compensation: COMPENSATION },
})
