import { defineSheet } from '../sheet'

/** How the motor's shaft stands to the screw, once both are in. */
export const shafts = defineSheet({ id: 'shafts', stage: 'align', title: 'Motor to screw' })
