import { CONTROLLER } from '../shared/steps/controllerModel'
import { defineSheet } from '../sheet'
import { LIMITS } from './limits'

/** What the controller is set to, and the first moves under power. */
export const controller = defineSheet({
  id: 'controller',
  stage: 'build',
  order: 50,
  loads: 'stage',
  title: 'First moves',
  fields: { controller: CONTROLLER },
  limits: LIMITS,
})
