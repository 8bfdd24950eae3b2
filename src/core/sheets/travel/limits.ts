import { defineLimits } from '../../evaluation/limits'

/** What the travel is held to, unless the builder says otherwise. */
export const LIMITS = defineLimits({
  'room.travel': {
    sense: 'at-least',
    holds: 1,
    close: 0.95,
    of: 'Travel left for each that is wanted',
    quantity: 'share',
  },
})
