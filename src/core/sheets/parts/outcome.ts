import { defineOutcome } from '../outcome'
import { driveOrders } from './orders'
import { REMEDIES } from './remedies'

/** What mends a drive, and what it needs bought. */
export const partsOutcome = defineOutcome({
  remedies: REMEDIES,
  orders: driveOrders,
})
