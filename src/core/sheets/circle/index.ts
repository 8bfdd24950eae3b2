import { defineSheet } from '../sheet'
import { CIRCLE_ROUNDS } from './model'

/** A circle and a square that the machine cut, measured across: how square two axes are, and how alike their scales. */
export const circle = defineSheet({
  id: 'circle',
  stage: 'prove',
  order: 80,
  loads: 'stage',
  title: 'Circle and square',
  fields: { circleRounds: CIRCLE_ROUNDS },
})
