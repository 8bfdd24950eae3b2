import { goal } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'

/** What can be given up where play changes with the feed or the warmth. */
export const slowFastOutcome = defineOutcome({
  remedies: {
    'prove.slowFast': [goal('backlashTargetUm')],
    'prove.coldWarm': [goal('backlashTargetUm')],
  },
})
