import { defineSheet } from '../sheet'

/** What the whole machine needs, and where each order stands. */
export const orders = defineSheet({
  id: 'orders',
  stage: 'machine',
  order: 40,
  loads: 'first',
  title: 'Order list',
})
