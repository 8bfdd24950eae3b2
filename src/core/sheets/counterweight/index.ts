import { defineSheet } from '../sheet'
import { COUNTERWEIGHT } from './model'

/** What a table that is run out over the end of its way needs to stay down. */
export const counterweight = defineSheet({
  id: 'counterweight',
  stage: 'room',
  order: 110,
  loads: 'stage',
  title: 'Counterweight',
  fields: { counterweight: COUNTERWEIGHT },
})
