import { defineSheet } from '../sheet'

/** What the whole machine needs, and where each order stands. */
export const orders = defineSheet({ id: 'orders', stage: 'machine', title: 'Order list' })
