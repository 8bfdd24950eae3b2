import { defineLimits } from '../../evaluation/limits'

export const LIMITS = defineLimits({
  'controller.pulses': {
    sense: 'at-most',
    holds: 0.8,
    close: 1,
    of: 'Pulses at top speed as a share of what the controller gives out',
    quantity: 'share',
  },
})
