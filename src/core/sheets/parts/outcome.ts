import { outcomeOf } from '../outcome'
import { driveOrders } from './orders'
import { REMEDIES } from './remedies'
import { parts } from './sheet'

/** What mends a drive, and what it needs bought. */
export const partsOutcome = outcomeOf(parts.checks, {
  remedies: REMEDIES,
  orders: driveOrders,
})
