import { defineSheet } from '../sheet'
import { SCALE_ROUNDS } from './model'

/** How far the slide goes for what is commanded, and the steps a millimetre that put it right. */
export const scale = defineSheet({
  id: 'scale',
  stage: 'prove',
  order: 90,
  loads: 'stage',
  title: 'Scale',
  fields: { scaleRounds: SCALE_ROUNDS },
})
