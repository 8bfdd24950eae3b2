import { attempt } from '../../evaluation/attempt'
import { limitsStopping, stoppingMm } from '../../machine/travel/stopping'
import { outcomeOf } from '../outcome'
import { remediesAt } from './remedies'
import { stopping } from './sheet'

/** What gives an axis room to stop, and how far it runs on. */
export const stoppingOutcome = outcomeOf(stopping.checks, {
  calculations: [limitsStopping],
  remedies: { 'stopping.fixed': remediesAt('fixed'), 'stopping.far': remediesAt('far') },
  report: context => attempt(() => ({ distanceMm: stoppingMm(context) })).value ?? null,
})
