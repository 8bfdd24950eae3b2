import { defineSheet } from '../sheet'

/** What a machine that runs asks for, and when: fixes for the time being, grease, belts, gibs, locknuts, proofs. */
export const upkeep = defineSheet({
  id: 'upkeep',
  stage: 'machine',
  order: 65,
  loads: 'asked',
  title: 'Upkeep',
})
