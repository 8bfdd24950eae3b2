import { JOINTS } from '../../machine/joints/model'
import { defineSheet } from '../sheet'
import { LIMITS } from './limits'

/** The screws of every joint: which length, which drills, how tight. */
export const fasteners = defineSheet({
  id: 'fasteners',
  stage: 'room',
  order: 90,
  loads: 'stage',
  title: 'Screws',
  fields: { joints: JOINTS },
  limits: LIMITS,
})
