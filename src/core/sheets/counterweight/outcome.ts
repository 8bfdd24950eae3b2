import { attempt } from '../../evaluation/attempt'
import { offered } from '../../evaluation/remedy'
import { say } from '../../units/print'
import { defineOutcome } from '../outcome'
import { heaviest, runOuts } from './runOut'

/** As much weight as is enough, in whole kilograms. */
const enough = offered(context => {
  const worst = heaviest(attempt(() => runOuts(context)).value ?? [])
  if (!worst) return null
  const weightKg = Math.ceil(worst.leastKg)
  return {
    change: draft => {
      draft.counterweight.weightKg = weightKg
    },
    label: `Lay ${say(weightKg, 'mass', context.units, 0)} on`,
    cost: 'a weight to find, to weigh and to tie',
  }
})

/** What keeps a table down that is run out over its end. */
export const counterweightOutcome = defineOutcome({ remedies: { 'room.counterweight': [enough] } })
