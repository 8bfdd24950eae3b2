import { defineLimits } from '../../evaluation/limits'

export const LIMITS = defineLimits({
  'limits.switch': {
    sense: 'at-least',
    holds: 1.5,
    close: 1,
    of: 'Room behind the switch for each millimetre that the axis runs on',
    quantity: 'ratio',
  },
  'limits.cableHeight': {
    sense: 'at-most',
    holds: 1,
    close: 1.02,
    of: 'Height of the loop against the room for it',
    quantity: 'share',
  },
})
