import { defineReasons } from '../../evaluation/limits'
import type { LIMITS } from './limits'

/** Why the usual limits are where they are. */
export const CONTROLLER_REASONS = defineReasons<keyof typeof LIMITS>({
  'controller.pulses':
    'A controller that is at its end loses pulses where it works hardest. A fifth is kept for a faster try and for interrupts.',
})
