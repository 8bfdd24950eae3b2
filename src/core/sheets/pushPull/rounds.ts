import type { EvaluationContext } from '../../evaluation/context'
import { holdsSlideN } from '../shared/proofs/pushes'
import { expanded } from '../shared/rounds/roundFinding'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { pushPull } from './calculation'
import { PUSH_ROUNDS, type PushRound } from './model'

/** The pushes of a round that were read, as the calculation takes them. */
export const pushesOf = (round: PushRound) =>
  round.stations.flatMap(({ forceN, readingUm }) =>
    readingUm === null || forceN === 0 ? [] : [{ forceN, displacementUm: readingUm }],
  )

/** Whether pushes can tell play from give: both ways, two sizes of force at least, and one reading to spare. */
export const canTell = (pushes: ReturnType<typeof pushesOf>): boolean =>
  pushes.length >= 4 &&
  pushes.some(({ forceN }) => forceN > 0) &&
  pushes.some(({ forceN }) => forceN < 0) &&
  new Set(pushes.map(({ forceN }) => Math.abs(forceN))).size >= 2

/** Shares of the hardest push: two sizes tell play from give, the third checks it. */
const SIZES = [1, 0.75, 0.5]
/** A hand pushes no less and no more than that, with a spring scale between. */
const [LEAST_N, MOST_N] = [30, 300]
const FIVES_N = 5
/** The hardest push against what holds the slide, so that the least still gets past it. */
const PAST_FRICTION = 3

export const pushRounds = defineRounds<PushRound>({
  about: 'Push and pull',
  of: PUSH_ROUNDS,
  pick: axis => axis.pushRounds,
  only: pushRounds => ({ pushRounds }),
  proves: true,
  closes: () => 'forceN',
  columns: [
    {
      key: 'readingUm',
      step: round => round.gaugeStepUm,
      at: 'forceN',
      shape: ({ forceN }) => [1, Math.sign(forceN as number) / 2, forceN as number],
      perhaps: 'a knock, or the slide that stuck',
    },
  ],
  begin: (axis, shop) => {
    const cutN = Math.min(Math.max(axis.goals.cuttingForceN, LEAST_N), MOST_N)
    const hardestN = Math.max(cutN, PAST_FRICTION * holdsSlideN(axis))
    return {
      gaugeStepUm: shop.gaugeStepUm,
      stations: [-1, 1].flatMap(side =>
        (side < 0 ? SIZES : SIZES.toReversed()).map(share => ({
          forceN: side * Math.round((share * hardestN) / FIVES_N) * FIVES_N,
          readingUm: null,
        })),
      ),
    }
  },
  worst: (_, round) => {
    const pushes = pushesOf(round)
    return canTell(pushes) ? { value: pushPull({ readings: pushes }).playUm, quantity: 'smallLength' } : null
  },
  resolution: ({ axis }, { gaugeStepUm, stations }) =>
    gaugeStepUm === null
      ? null
      : {
          leastUm: expanded((2 * gaugeStepUm) / Math.sqrt(12 * Math.max(stations.length, 1)), 0),
          countsUm: axis.goals.backlashTargetUm,
        },
  worstWords: 'play',
})

/** Play and give of the last round; null while it cannot tell them. */
export function pushedPlay(t: EvaluationContext, stepUm: number) {
  const round = lastRound(pushRounds, t.axis)
  const pushes = round ? pushesOf(round) : []
  if (!round || !canTell(pushes)) return null
  const figures = t.figure('pushPull', pushPull, { readings: pushes })
  // Readings that fall on a line by chance are still read in steps.
  const leastStandardUm = (2 * stepUm) / Math.sqrt(12 * pushes.length)
  const standardUm = Math.max(figures.playStandardUm, leastStandardUm)
  return { ...figures, round, pushes, expandedUm: expanded(standardUm, pushes.length - 3) }
}
