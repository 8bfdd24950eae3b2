import { defineChecks } from '../../evaluation/check'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { against, expanded, noAdvice, stepOf, told } from '../shared/rounds/roundFinding'
import { returnRounds, stepsLost } from './rounds'

/** Full steps of one cycle of the field. */
const STEPS_OF_CYCLE = 4

export const LOST_STEPS_CHECKS = defineChecks({
  'prove.steps': {
    title: 'Back to zero after fast moves',
    subject: 'motor',
    judge: judgeRounds(returnRounds, (t, round, say, small) => {
      const found = stepsLost(t, stepOf(round, 'lostSteps', 'prove'))
      if (!found || found.slowReturns < 2)
        return noAdvice(
          'Come back to zero from the same side after slow moves, twice or more, then after fast ones: read each return.',
        )
      const { returnErrorUm, cycles, cycleUm, restUm, verdict, standardUncertaintyUm, slowReturns } = found
      const offUm = Math.abs(returnErrorUm)
      const uncertainUm = expanded(standardUncertaintyUm, slowReturns - 1)
      // Half of what a reversal may lose is more than a return may be off by.
      const acceptedUm = t.axis.goals.backlashTargetUm / 2
      const figures = [offUm, acceptedUm, uncertainUm] as const
      const off = `${small(offUm)} ± ${small(uncertainUm)} off zero`
      const stepper = t.part('motor').loop === 'open'
      const after = `after ${round.movesEach} moves at ${say(round.fastMmPerMin, 'speed')}`
      const standing = told(offUm, uncertainUm, acceptedUm)
      if (standing === 'within')
        return against(
          'holds',
          'smallLength',
          figures,
          () => `It comes back: ${off} ${after}, against ${small(acceptedUm)} accepted.`,
        )
      if (verdict === 'cannot-tell')
        return noAdvice(
          `${off} ${after}: the returns spread too much to tell lost steps of ${small(cycleUm)} a cycle from anything else. Read them with a finer gauge, from the same side each time.`,
        )
      if (verdict === 'steps' && stepper)
        return against(
          'fails',
          'smallLength',
          figures,
          () =>
            `${off} ${after}: ${Math.abs(cycles)} whole ${Math.abs(cycles) === 1 ? 'cycle' : 'cycles'} of ${small(cycleUm)}, so the motor lost ${STEPS_OF_CYCLE * Math.abs(cycles)} full steps. Less acceleration or speed, more current if the drive allows it, and see that nothing binds.`,
        )
      if (standing === 'cannot-tell')
        return noAdvice(
          `${off}, against ${small(acceptedUm)} accepted: take some more slow returns, and fast ones.`,
        )
      return against(
        'fails',
        'smallLength',
        figures,
        () =>
          `${off} ${after}, which is no whole cycle of ${small(cycleUm)} (${small(Math.abs(restUm))} over): no steps are lost, something slips. Mark hubs and shafts, and look which line parts.`,
      )
    }),
  },
})
