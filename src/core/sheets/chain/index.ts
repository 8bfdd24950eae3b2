import { defineSheet } from '../sheet'
import { CHAIN } from './model'

/** Dimensions that add up to a gap that matters: made to size, or left adjustable. */
export const chain = defineSheet({
  id: 'chain',
  stage: 'room',
  order: 100,
  loads: 'stage',
  title: 'Chain of dimensions',
  fields: { chain: CHAIN },
})
