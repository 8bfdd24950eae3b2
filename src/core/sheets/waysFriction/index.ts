import { defineSheet } from '../sheet'
import { WAYS_ROUNDS } from './model'

/** What the ways rub and what gib and wipers drag, read with a spring scale: it goes to Survey. */
export const waysFriction = defineSheet({
  id: 'waysFriction',
  stage: 'align',
  order: 110,
  loads: 'stage',
  title: 'Friction of the ways',
  fields: { waysRounds: WAYS_ROUNDS },
})
