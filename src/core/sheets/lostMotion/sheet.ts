import { defineSheet } from '../sheet'

/** What each part adds to the lost motion of the drive. */
export const lostMotion = defineSheet({ id: 'lostMotion', stage: 'size', title: 'Lost motion by its causes' })
