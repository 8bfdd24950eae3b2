import { defineSheet } from '../sheet'

/** When there is time for it. */
export const hours = defineSheet({ id: 'hours', stage: 'machine', title: 'Working hours' })
