import { CONTROLLER } from '../../machine/build/controller'
import { defineSheet } from '../sheet'
import { CONTROLLER_CHECKS, LIMITS } from './check'

/** What the controller is set to, and the first moves under power. */
export const controller = defineSheet({
  id: 'controller',
  stage: 'build',
  title: 'First moves',
  fields: { controller: CONTROLLER },
  checks: CONTROLLER_CHECKS,
  limits: LIMITS,
})
