import { defineOutcome } from '../outcome'
import { compensationOf } from './calculation'

/** Backlash and the table of corrections. */
export const compensationOutcome = defineOutcome({ calculations: [compensationOf] })
