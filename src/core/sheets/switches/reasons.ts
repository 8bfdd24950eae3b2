import { defineReasons } from '../../evaluation/limits'
import type { LIMITS } from './limits'

/** Why the usual limits are where they are. */
export const SWITCHES_REASONS = defineReasons<keyof typeof LIMITS>({
  'limits.switch':
    'Behind the switch only the hard stop is left. Half as much again is kept for a drive that slows less hard when it is hot.',
  'limits.cableHeight': 'A loop that touches what is over it wears through.',
})
