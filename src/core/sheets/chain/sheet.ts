import { defineSheet } from '../sheet'
import { CHAIN_CHECKS } from './check'
import { CHAIN } from './model'

/** Dimensions that add up to a gap that matters: made to size, or left adjustable. */
export const chain = defineSheet({
  id: 'chain',
  stage: 'room',
  title: 'Chain of dimensions',
  fields: { chain: CHAIN },
  checks: CHAIN_CHECKS,
})
