import { STOPPING } from '../../machine/travel/stoppingModel'
import { defineSheet } from '../sheet'
import { LIMITS } from './limits'

/** From soft limit to switch to hard stop there must be room to stop in. */
export const stopping = defineSheet({
  id: 'stopping',
  stage: 'room',
  order: 20,
  loads: 'first',
  title: 'Room to stop',
  fields: { stopping: STOPPING },
  limits: LIMITS,
})
