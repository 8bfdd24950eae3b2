import { outcomeOf } from '../outcome'
import { compensationOf } from './calculation'
import { compensation } from './sheet'

/** Backlash and the table of corrections. */
export const compensationOutcome = outcomeOf(compensation.checks, { calculations: [compensationOf] })
