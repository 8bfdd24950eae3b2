import { defineSheet } from '../sheet'
import { OVERHANG_ROUNDS } from './model'

/** What weight does to what is being set: a table run out over its end, a motor hung from a bracket. */
export const overhang = defineSheet({
  id: 'overhang',
  stage: 'align',
  order: 100,
  loads: 'stage',
  title: 'Overhang and droop',
  fields: { overhangRounds: OVERHANG_ROUNDS },
})
