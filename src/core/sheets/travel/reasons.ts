import { defineReasons } from '../../evaluation/limits'
import type { LIMITS } from './limits'

/** Why the usual limits are where they are. */
export const TRAVEL_REASONS = defineReasons<keyof typeof LIMITS>({
  'room.travel': 'A twentieth less is often won back with a stop moved or a corner filed.',
})
