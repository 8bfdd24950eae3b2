import { defineSheet } from '../sheet'

/** The drive in a few sentences: what limits it, what is generous, what is assumed. */
export const inWords = defineSheet({ id: 'inWords', stage: 'size', title: 'In plain words' })
