import { defineLimits } from '../../evaluation/limits'

/** What the joints of the drive are held to. */
export const LIMITS = defineLimits({
  'joint.slip': {
    sense: 'at-least',
    holds: 1.5,
    close: 1.2,
    of: 'What a joint holds for each newton that goes through it',
    quantity: 'ratio',
  },
})
