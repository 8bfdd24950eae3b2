import { defineOutcome } from '../outcome'
import { stackupChain } from './calculation'

/** How a chain of dimensions is worked out. */
export const chainOutcome = defineOutcome({
  calculations: [stackupChain],
})
