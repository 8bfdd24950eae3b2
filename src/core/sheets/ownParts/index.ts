import { defineSheet } from '../sheet'

/** Parts that the builder has added to those that ship, and which axes have them. */
export const ownParts = defineSheet({
  id: 'ownParts',
  stage: 'machine',
  order: 50,
  loads: 'first',
  title: 'Parts of your own',
})
