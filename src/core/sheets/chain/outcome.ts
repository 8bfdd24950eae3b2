import { outcomeOf } from '../outcome'
import { stackupChain } from './calculation'
import { chain } from './sheet'

/** How a chain of dimensions is worked out. */
export const chainOutcome = outcomeOf(chain.checks, {
  calculations: [stackupChain],
})
