import { outcomeOf } from '../outcome'
import { cuts } from './sheet'
import { trueFaces } from './trueFaces'

/** The faces that must be true. */
export const cutsOutcome = outcomeOf(cuts.checks, {
  cuts: trueFaces,
})
