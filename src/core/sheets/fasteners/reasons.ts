import { defineReasons } from '../../evaluation/limits'
import type { LIMITS } from './limits'

/** Why the usual limits are where they are. */
export const FASTENERS_REASONS = defineReasons<keyof typeof LIMITS>({
  'joint.slip':
    'Oil gets between faces, and screws settle. Half as much again is kept, so that a block never creeps under a crash.',
})
