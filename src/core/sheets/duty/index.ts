import { defineSheet } from '../sheet'

/** What a typical hour is made of. */
export const duty = defineSheet({ id: 'duty', stage: 'size', order: 60, loads: 'first', title: 'Duty' })
