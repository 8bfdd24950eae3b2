import { defineSheet } from '../sheet'
import { LIMITS } from './limits'

/** The parts of the drive, and everything that a drive is held to. */
export const parts = defineSheet({
  id: 'parts',
  stage: 'size',
  order: 40,
  loads: 'first',
  title: 'Parts of the drive',
  limits: LIMITS,
})
