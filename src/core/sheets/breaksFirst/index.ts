import { defineSheet } from '../sheet'

/** Every limit of an axis on one scale, from motor to slide: what gives first in a crash. */
export const breaksFirst = defineSheet({
  id: 'breaksFirst',
  stage: 'size',
  order: 65,
  loads: 'first',
  title: 'What breaks first',
})
