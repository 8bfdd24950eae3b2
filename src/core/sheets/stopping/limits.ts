import { defineLimits } from '../../evaluation/limits'

export const LIMITS = defineLimits({
  'limits.stopping': {
    sense: 'at-least',
    holds: 1.5,
    close: 1,
    of: 'Length kept clear for each millimetre that the axis needs to stop',
    quantity: 'ratio',
  },
})
