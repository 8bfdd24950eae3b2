import { uncertaintyOf } from '../../machine/prove/uncertainty'
import { outcomeOf } from '../outcome'
import { uncertainty } from './sheet'

/** What several contributors make a figure uncertain by. */
export const uncertaintyOutcome = outcomeOf(uncertainty.checks, { calculations: [uncertaintyOf] })
