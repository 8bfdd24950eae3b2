import { defineSheet } from '../sheet'
import { BLOCK_BODY, MEASURED_BLOCK } from './model'

/** The stack of bearings in their block: whether the cover clamps them, and what makes it so. */
export const bearingBlock = defineSheet({
  id: 'bearingBlock',
  stage: 'room',
  order: 60,
  loads: 'stage',
  title: 'Bearing block',
  fields: { block: MEASURED_BLOCK, blockBody: BLOCK_BODY },
})
