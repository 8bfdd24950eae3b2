import { defineSheet } from '../sheet'
import { HOLE_CHECKS } from './check'
import { HOLES } from './model'

/** Holes of the casting that are bored larger: which cutter, what wall is left, and what guides the pilot. */
export const holes = defineSheet({
  id: 'holes',
  stage: 'room',
  title: 'Holes to enlarge',
  fields: { holes: HOLES },
  checks: HOLE_CHECKS,
})
