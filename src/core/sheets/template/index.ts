import { defineSheet } from '../sheet'
import { BRACKET_HOLES } from './model'

/** The bracket's holes about the screw axis, as a drilling template at full size. */
export const template = defineSheet({
  id: 'template',
  stage: 'room',
  order: 80,
  loads: 'first',
  title: 'Drilling template',
  fields: { bracketHoles: BRACKET_HOLES },
})
