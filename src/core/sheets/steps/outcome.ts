import { defineOutcome } from '../outcome'
import { boltSequence } from '../shared/steps/boltSequence'
import { mishapOrders } from '../shared/steps/mishaps'
import { locknutTorque, preloadByTurn } from '../shared/steps/preload'

/** What a mishap needs bought, and what the steps reckon with. */
export const stepsOutcome = defineOutcome({
  calculations: [preloadByTurn, locknutTorque, boltSequence],
  orders: axis => mishapOrders(axis).map(line => ({ ...line, neededBy: 'build' as const, sheetEur: null })),
})
