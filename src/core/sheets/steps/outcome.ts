import { boltSequence } from '../../machine/build/boltSequence'
import { mishapOrders } from '../../machine/build/mishaps'
import { locknutTorque, preloadByTurn } from '../../machine/build/preload'
import { defineOutcome } from '../outcome'

/** What a mishap needs bought, and what the steps reckon with. */
export const stepsOutcome = defineOutcome({
  calculations: [preloadByTurn, locknutTorque, boltSequence],
  orders: axis => mishapOrders(axis).map(line => ({ ...line, neededBy: 'build' as const, sheetEur: null })),
})
