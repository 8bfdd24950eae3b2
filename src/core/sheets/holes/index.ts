import { defineSheet } from '../sheet'
import { HOLES } from './model'

/** Holes of the casting that are bored larger: which cutter, what wall is left, and what guides the pilot. */
export const holes = defineSheet({
  id: 'holes',
  stage: 'room',
  order: 40,
  loads: 'stage',
  title: 'Holes to enlarge',
  fields: { holes: HOLES },
})
