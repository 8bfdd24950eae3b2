import { defineChecks } from '../../evaluation/check'
import { reversal } from './calculation'
import { judgeTest } from './judgeTest'

export const REVERSAL_CHECKS = defineChecks({
  'prove.reversal': {
    title: 'Lost motion, measured',
    subject: 'proof',
    judge(t, say) {
      const test = t.axis.tests.at(-1)
      if (!test) return null
      const target = t.axis.goals.backlashTargetUm
      const limit = { value: target, quantity: 'smallLength' as const }
      const judged = judgeTest(test, target)
      if (!judged)
        return {
          state: 'unknown',
          figure: null,
          limit,
          use: null,
          sentence: 'Read at least one station twice from either side.',
        }
      const { station, verdict } = judged
      t.figure('reversal', reversal, {
        approachPositiveUm: station.approachPositiveUm,
        approachNegativeUm: station.approachNegativeUm,
      })
      const measured = `${say(verdict.reversalUm, 'smallLength')} ± ${say(2 * verdict.standardUncertaintyUm, 'smallLength')}`
      const where = `at ${say(station.positionMm, 'length', 1)}`
      const unlike =
        verdict.standardUncertaintyUm === 0
          ? ' All readings are alike: the gauge is coarser than the spread, so the uncertainty is at least its smallest step.'
          : ''
      const sentences = {
        holds: `A reversal loses ${measured} ${where}, against ${say(target, 'smallLength')} accepted.`,
        fails: `A reversal loses ${measured} ${where}, more than the ${say(target, 'smallLength')} accepted.`,
        close: `A reversal loses ${measured} ${where}: too near to the ${say(target, 'smallLength')} accepted to tell by more readings.`,
        unknown: `A reversal loses ${measured} ${where}. Take ${verdict.moreReadings} more ${
          verdict.moreReadings === 1 ? 'reading' : 'readings'
        } from each side to tell it from the ${say(target, 'smallLength')} accepted.`,
      }
      return {
        state: verdict.state,
        figure: { value: verdict.reversalUm, quantity: 'smallLength' },
        limit,
        use: (verdict.reversalUm + 2 * verdict.standardUncertaintyUm) / target,
        sentence: sentences[verdict.state] + unlike,
      }
    },
  },
})
