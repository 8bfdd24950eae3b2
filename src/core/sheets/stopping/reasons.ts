import { defineReasons } from '../../evaluation/limits'
import type { LIMITS } from './limits'

/** Why the usual limits are where they are. */
export const STOPPING_REASONS = defineReasons<keyof typeof LIMITS>({
  'limits.stopping':
    'Soft limit, switch and hard stop lie within what is kept clear. Half as much again is kept for a switch that is set a little late and a drive that slows less hard when it is hot.',
})
