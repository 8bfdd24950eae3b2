import { defineSheet } from '../sheet'
import { VARIANTS } from './model'

/** Schools of thought side by side, and drives that were tried. */
export const schools = defineSheet({
  id: 'schools',
  stage: 'size',
  order: 50,
  loads: 'first',
  title: 'Schools side by side',
  fields: { variants: VARIANTS },
})
