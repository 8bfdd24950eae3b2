import { STEEL_EXPANSION_PER_K } from '../../calculation/constants'
import { defineChecks } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { cyclesWords } from '../shared/proofs/lostSteps'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { against, expanded, noAdvice, stepOf, told } from '../shared/rounds/roundFinding'
import { returnRounds, stepsLost } from './rounds'

/** No screw warms by more over some fast moves; what goes further off than it can grow slips. */
const WARMEST_K = 15
const longestMm = ({ axis }: EvaluationContext): number =>
  axis.dimensions.supportSpanMm.value ?? axis.goals.wantedTravelMm

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
      const { returnErrorUm, cycles, cycleUm, restUm, verdict, standardUncertaintyUm, spare } = found
      const offUm = Math.abs(returnErrorUm)
      const uncertainUm = expanded(standardUncertaintyUm, spare)
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
            `${off} ${after}: ${cyclesWords(cycles)}, at ${small(cycleUm)} a cycle. Less acceleration or speed, more current if the drive allows it, and see that nothing binds.`,
        )
      if (standing === 'cannot-tell')
        return noAdvice(
          `${off}, against ${small(acceptedUm)} accepted: take some more slow returns, and fast ones.`,
        )
      const mostGrownUm = STEEL_EXPANSION_PER_K * WARMEST_K * longestMm(t) * 1000
      if (found.goesOn && offUm <= mostGrownUm)
        return noAdvice(
          `${off} ${after}, and further off from return to return: by warmth, by a base that creeps, or by a little slip each time. Let it stand for ten minutes and read a slow return again: what has gone back was warmth. Zero against time tells them apart.`,
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
