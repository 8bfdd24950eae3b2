import { JOINTS } from '../../machine/joints/model'
import { defineSheet } from '../sheet'
import { FASTENER_CHECKS } from './check'

/** The screws of every joint: which length, which drills, how tight. */
export const fasteners = defineSheet({
  id: 'fasteners',
  stage: 'room',
  title: 'Screws',
  fields: { joints: JOINTS },
  checks: FASTENER_CHECKS,
})
