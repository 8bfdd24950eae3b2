import { bySteps } from '../shared/rounds/resolution'
import { defineRounds } from '../shared/rounds/rounds'
import { RUN_OUT_ROUNDS, type RunOutRound, type Wobble } from './model'

export const wobblesOf = (round: RunOutRound) =>
  round.stations.filter((one): one is Wobble & { wholeUm: number } => one.wholeUm !== null)

export const runOutRounds = defineRounds<RunOutRound>({
  about: 'Run-out',
  of: RUN_OUT_ROUNDS,
  pick: axis => axis.runOutRounds,
  only: runOutRounds => ({ runOutRounds }),
  columns: [{ key: 'wholeUm', step: round => round.gaugeStepUm }],
  begin: (axis, shop) => ({
    gaugeStepUm: shop.gaugeStepUm,
    stations: (['drive', 'fixed', axis.ends === 'fixed-free' ? 'free' : 'far'] as const).map(where => ({
      where,
      wholeUm: null,
      toNutMm: null,
    })),
  }),
  worst: (_, round) => {
    const all = wobblesOf(round).map(({ wholeUm }) => wholeUm)
    return all.length ? { value: Math.max(...all), quantity: 'smallLength' } : null
  },
  resolution: bySteps(t => 2 * t.axis.goals.alignmentTargetUm),
  worstWords: 'largest run-out',
})
