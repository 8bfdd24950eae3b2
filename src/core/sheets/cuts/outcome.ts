import { defineOutcome } from '../outcome'
import { trueFaces } from './trueFaces'

/** The faces that must be true. */
export const cutsOutcome = defineOutcome({
  cuts: trueFaces,
})
