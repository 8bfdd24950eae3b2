import { uncertaintyOf } from '../shared/proofs/uncertainty'
import { defineOutcome } from '../outcome'

/** What several contributors make a figure uncertain by. */
export const uncertaintyOutcome = defineOutcome({ calculations: [uncertaintyOf] })
