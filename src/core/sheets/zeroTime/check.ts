import { attempt } from '../../evaluation/attempt'
import { defineChecks } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { cyclesLost, inCycles } from '../shared/proofs/lostSteps'
import { judgeFigure, judgeRounds } from '../shared/rounds/judgeRounds'
import { against, expanded, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import type { ZeroRound } from './model'
import { driftOf, FEWEST_RETURNS, returnsOf, SHORTEST_MIN, zeroRounds } from './rounds'

/** What comes sooner than this share of the time between two returns is no warmth. */
const SOONEST_SHARE = 0.7
/** Growth that two places share to this part is not the screw's: it grows with the distance from its fixed block. */
const ALIKE_SHARE = 0.6
/** A growth whose time constant is longer than this part of the test was not seen to its end. */
const SEEN_SHARE = 0.7

/** A cycle must stand out from what a return is read to, so many times. */
const TOLD_APART = 8

/**
 * How often, from return to return, it lost whole cycles of its motor; 0 where what lies between them is anything else, or the
 * motor knows where it is.
 */
function timesLost(t: EvaluationContext, round: ZeroRound, stepUm: number): number {
  const { cycleUm } = inCycles(t, 0, 0)
  const readToUm = Math.max(stepUm, LEAST_READ_UM)
  if (t.part('motor').loop !== 'open' || cycleUm < TOLD_APART * readToUm) return 0
  let times = 0
  for (const place of ['near', 'far'] as const) {
    const read = returnsOf(round).filter(one => one.place === place)
    let lost = 0
    for (const [index, { readingUm }] of read.slice(1).entries()) {
      const byUm = readingUm - (read[index]?.readingUm ?? 0)
      const cycles = Math.round(byUm / cycleUm)
      if (Math.abs(byUm - cycles * cycleUm) > ALIKE_STEPS * readToUm) return 0
      if (cycles !== 0) lost += 1
    }
    times = Math.max(times, lost)
  }
  return times
}
/** By hand a dial does not come to the same mark. */
const LEAST_READ_UM = 2
const ALIKE_STEPS = 3

export const ZERO_TIME_CHECKS = defineChecks({
  'prove.zeroTime': {
    title: 'Zero against time',
    subject: 'proof',
    judge: judgeRounds(zeroRounds, (t, round, say, small) => {
      const stepUm = stepOf(round, 'zeroTime', 'prove')
      const found = driftOf(t, round)
      if (!found)
        return noAdvice(
          `Begin cold. Let the axis run to and fro, and come back to the same place from the same side every minute or two: ${FEWEST_RETURNS} returns over ${SHORTEST_MIN} minutes are the least that tells anything.`,
        )
      const { is, jumpUm, jumpAtMinutes, residualUm, timeConstantMinutes, mostUm, movedUm, overMin } = found
      const limitUm = t.axis.goals.accuracyTargetUm
      const minutes = (one: number) => `${say(Math.round(one), 'ratio', 0)} minutes`
      const times = attempt(() => timesLost(t, round, stepUm)).value ?? 0
      if (times > 0)
        return against(
          'fails',
          'smallLength',
          [movedUm, limitUm],
          () =>
            `It is ${small(movedUm)} off, and between ${times === 1 ? 'two returns' : `returns, ${times} times,`} it went by whole cycles of its motor: it loses steps as it runs. Read Lost steps, and find out why, before anything else.`,
        )
      const uncertainUm = expanded(Math.hypot(residualUm, stepUm / Math.sqrt(12)), 0)
      if (jumpUm !== null && jumpAtMinutes !== null) {
        const cycles = attempt(() => cyclesLost(t, jumpUm, uncertainUm / 2)).value
        const jumped = `By minute ${say(jumpAtMinutes, 'ratio', 0)} the zero had jumped by ${small(Math.abs(jumpUm))}, and it stayed`
        return cycles
          ? against(
              'fails',
              'smallLength',
              [Math.abs(jumpUm), limitUm, uncertainUm],
              () => `${jumped}: ${cycles}. Read Lost steps, and find out why, before anything else.`,
            )
          : noAdvice(
              `${jumped}: the gauge or its base was touched, or a hub has slipped. Mark hubs and shafts with a line across, clamp the base anew, and take it again.`,
            )
      }
      if (is === 'steady')
        return judgeFigure([movedUm, uncertainUm, limitUm], [movedUm, limitUm, uncertainUm], {
          within: () =>
            `Over ${minutes(overMin)} it comes back within ${small(movedUm)}, against ${small(limitUm)} accepted: it asks for no warming up.`,
          beyond: () =>
            `It comes back anywhere within ${small(movedUm)}, with no drift and no jump in it: something is loose or sticks. Read the reversal.`,
          cannotTell: () =>
            `It comes back within ${small(movedUm)} ± ${small(uncertainUm)}, against ${small(limitUm)} accepted: these returns cannot tell. Read finer.`,
        })
      const grown = `It goes off by ${small(mostUm)} ± ${small(uncertainUm)} in the end, with a time constant of ${minutes(timeConstantMinutes ?? 0)}`
      if (found.alikeUm > ALIKE_SHARE * mostUm)
        return mostUm + uncertainUm <= limitUm
          ? against(
              'holds',
              'smallLength',
              [mostUm, limitUm, uncertainUm],
              () => `${grown}, alike at both places: within the ${small(limitUm)} accepted.`,
            )
          : noAdvice(
              `${grown}, and alike at both places: a screw grows with the distance from its fixed block. The base of the gauge creeps, or head and column grow. Let the base rest on the bed for ten minutes, touched by nobody, and take it again.`,
            )
      if (!found.bothRead)
        return noAdvice(
          `${grown}. Read a second place, far from the fixed block: heat of the screw grows with the distance from it, a base that creeps does not.`,
        )
      const sooner = (timeConstantMinutes ?? 0) < SOONEST_SHARE * (overMin / Math.max(1, found.times - 1))
      if (sooner || Math.abs(found.growthNearUm ?? 0) > Math.abs(found.growthFarUm ?? 0) + uncertainUm)
        return mostUm + uncertainUm <= limitUm
          ? against(
              'holds',
              'smallLength',
              [mostUm, limitUm, uncertainUm],
              () => `${grown}, within the ${small(limitUm)} accepted.`,
            )
          : noAdvice(
              `${grown}, ${sooner ? 'all of it between two returns' : 'and more near the fixed block than far from it'}: no screw warms so. The gauge or its base was touched, or something slipped: clamp it anew, hands off, and take it again.`,
            )
      const rate =
        found.perMUm === null ? '' : ` (${small(Math.abs(found.perMUm))} for each metre between the places)`
      const unseen =
        timeConstantMinutes !== null && timeConstantMinutes > SEEN_SHARE * overMin
          ? ' It was not read to its end: go on for longer to know how far it goes.'
          : ''
      return judgeFigure([mostUm, uncertainUm, limitUm], [mostUm, limitUm, uncertainUm], {
        within: () =>
          `${grown}${rate}, within the ${small(limitUm)} accepted: the screw warms.${found.warmUpMin > 0 ? ` After ${minutes(found.warmUpMin)} hardly any of it is to come.` : ''}${unseen}`,
        beyond: () =>
          `${grown}${rate}: the screw warms and grows. Run it for ${minutes(found.warmUpMin)} before a full test, and before work that must be true; a nut or bearings that are too tight make more of it.${unseen}`,
        cannotTell: () =>
          `${grown}${rate}, against ${small(limitUm)} accepted: these returns cannot tell. Go on for longer.`,
      })
    }),
  },
})
