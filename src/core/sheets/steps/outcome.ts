import { boltSequence } from '../../machine/build/boltSequence'
import { mishapOrders } from '../../machine/build/mishaps'
import { locknutTorque, preloadByTurn } from '../../machine/build/preload'
import { outcomeOf } from '../outcome'
import { steps } from './sheet'

/** What a mishap needs bought, and what the steps reckon with. */
export const stepsOutcome = outcomeOf(steps.checks, {
  calculations: [preloadByTurn, locknutTorque, boltSequence],
  orders: axis => mishapOrders(axis).map(line => ({ ...line, neededBy: 'build' as const, sheetEur: null })),
})
