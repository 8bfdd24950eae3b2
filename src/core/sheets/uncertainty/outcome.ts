import { defineOutcome } from '../outcome'
import { uncertaintyOf } from '../shared/proofs/uncertainty'

/** What several contributors make a figure uncertain by. */
export const uncertaintyOutcome = defineOutcome({ calculations: [uncertaintyOf] })
