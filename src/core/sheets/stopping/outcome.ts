import { attempt } from '../../evaluation/attempt'
import { limitsStopping, stoppingMm } from '../../machine/travel/stopping'
import { defineOutcome } from '../outcome'
import { remediesAt } from './remedies'

/** What gives an axis room to stop, and how far it runs on. */
export const stoppingOutcome = defineOutcome({
  calculations: [limitsStopping],
  remedies: { 'stopping.fixed': remediesAt('fixed'), 'stopping.far': remediesAt('far') },
  report: context => attempt(() => ({ distanceMm: stoppingMm(context) })).value ?? null,
})
