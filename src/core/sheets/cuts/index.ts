import { defineSheet } from '../sheet'

/** What is cut, in its order, out of every sheet that wants metal gone; the true faces come last. */
export const cuts = defineSheet({ id: 'cuts', stage: 'room', order: 50, loads: 'first', title: 'Cut list' })
