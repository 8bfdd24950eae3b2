import { defineSheet } from '../sheet'
import { RUN_OUT_ROUNDS } from './model'

/** How the screw runs out where it is held and where it is not: a wobble that matters, and one that does not. */
export const runOut = defineSheet({
  id: 'runOut',
  stage: 'align',
  order: 60,
  loads: 'stage',
  title: 'Run-out',
  fields: { runOutRounds: RUN_OUT_ROUNDS },
})
