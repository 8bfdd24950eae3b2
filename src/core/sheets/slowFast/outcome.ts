import { goal } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { SLOW_FAST_CHECKS } from './check'

/** What can be given up where play changes with the feed or the warmth. */
export const slowFastOutcome = outcomeOf(SLOW_FAST_CHECKS, {
  remedies: {
    'prove.slowFast': [goal('backlashTargetUm')],
    'prove.coldWarm': [goal('backlashTargetUm')],
  },
})
