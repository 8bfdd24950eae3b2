import { defineSheet } from '../sheet'

/** The drive in a few sentences: what limits it, what is generous, what is assumed. */
export const inWords = defineSheet({
  id: 'inWords',
  stage: 'size',
  order: 10,
  loads: 'first',
  title: 'In plain words',
})
