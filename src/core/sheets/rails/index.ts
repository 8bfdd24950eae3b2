import { defineSheet } from '../sheet'
import { RAIL_ROUNDS } from './model'

/** How straight a rail is, and how well the second follows the first. */
export const rails = defineSheet({
  id: 'rails',
  stage: 'align',
  order: 80,
  loads: 'stage',
  title: 'Rails',
  fields: { railRounds: RAIL_ROUNDS },
})
