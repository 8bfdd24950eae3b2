import { defineSheet } from '../sheet'

/** What happened, and the temporary fixes still open. */
export const log = defineSheet({ id: 'log', stage: 'log', order: 10, loads: 'first', title: 'All lines' })
