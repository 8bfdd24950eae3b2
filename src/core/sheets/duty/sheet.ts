import { defineSheet } from '../sheet'

/** What a typical hour is made of. */
export const duty = defineSheet({ id: 'duty', stage: 'size', title: 'Duty' })
