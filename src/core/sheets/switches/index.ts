import { defineSheet } from '../sheet'
import { LIMITS } from './limits'
import { CABLE, SWITCHES } from './model'

/** Where the switches stand and of what kind they are; how long the cable chain is. */
export const switches = defineSheet({
  id: 'switches',
  stage: 'build',
  order: 30,
  loads: 'stage',
  title: 'Switches and cables',
  fields: { switches: SWITCHES, cable: CABLE },
  limits: LIMITS,
})
