import { defineSheet } from '../sheet'
import { ZERO_ROUNDS } from './model'

/** One place or two, come back to every minute from cold: heat, creep, lost steps and a touched gauge told apart. */
export const zeroTime = defineSheet({
  id: 'zeroTime',
  stage: 'prove',
  order: 25,
  loads: 'stage',
  title: 'Zero against time',
  fields: { zeroRounds: ZERO_ROUNDS },
})
