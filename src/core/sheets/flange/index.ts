import { defineSheet } from '../sheet'
import { FLANGE_ROUNDS } from './model'

/** The flange of the nut, or any face that should be square to the screw: how it tilts, and the shim that squares it. */
export const flange = defineSheet({
  id: 'flange',
  stage: 'align',
  order: 50,
  loads: 'stage',
  title: 'Nut flange and faces',
  fields: { flangeRounds: FLANGE_ROUNDS },
})
