import type { EvaluationContext } from '../../evaluation/context'
import { ratio } from '../../machine/drive/transmission'
import { meanOf, spreadOf } from '../shared/proofs/fewReadings'
import { bySteps } from '../shared/rounds/resolution'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { lostSteps } from './calculation'
import { RETURN_ROUNDS, type ReturnRound } from './model'

const FIRST_RETURNS = 3

const of = (round: ReturnRound, key: 'slowUm' | 'fastUm') => round.stations.flatMap(one => one[key] ?? [])

export const returnRounds = defineRounds<ReturnRound>({
  about: 'Back to zero',
  of: RETURN_ROUNDS,
  pick: axis => axis.returnRounds,
  only: returnRounds => ({ returnRounds }),
  columns: [
    {
      key: 'slowUm',
      step: round => round.gaugeStepUm,
      shape: () => [1],
      perhaps: 'an approach from the other side',
    },
    // Steps that are lost leave it further off each time: no shape is asked of them.
    { key: 'fastUm', step: round => round.gaugeStepUm },
  ],
  begin: (axis, shop) => ({
    gaugeStepUm: shop.gaugeStepUm,
    fastMmPerMin: axis.goals.topSpeedMmPerMin,
    stations: Array.from({ length: FIRST_RETURNS }, () => ({ slowUm: null, fastUm: null })),
  }),
  worst: (_, round) => {
    const off = furthestOff(round)
    return off === null ? null : { value: Math.abs(off), quantity: 'smallLength' }
  },
  resolution: bySteps(({ axis }) => axis.goals.backlashTargetUm / 2),
  worstWords: 'furthest off zero',
})

/** How far the fast returns are off the slow ones, at the one that is furthest; null while either is unread. */
function furthestOff(round: ReturnRound): number | null {
  const [slow, fast] = [of(round, 'slowUm'), of(round, 'fastUm')]
  if (slow.length === 0 || fast.length === 0) return null
  const zero = meanOf(slow)
  return fast.map(one => one - zero).reduce((worst, one) => (Math.abs(one) > Math.abs(worst) ? one : worst))
}

/**
 * Whether the last round lost steps; null while it is not read.
 *
 * What a return is uncertain by comes of the slow ones, which lose none, and of the step of the gauge.
 *
 * @throws NotKnown without a motor and a screw
 */
export function stepsLost(t: EvaluationContext, stepUm: number) {
  const round = lastRound(returnRounds, t.axis)
  const returnErrorUm = round ? furthestOff(round) : null
  if (!round || returnErrorUm === null) return null
  const slow = of(round, 'slowUm')
  const standardUncertaintyUm = Math.sqrt(
    spreadOf(slow).deviation ** 2 * (1 + 1 / slow.length) + (2 * stepUm ** 2) / 12,
  )
  const figures = t.figure('lostSteps', lostSteps, {
    returnErrorUm,
    leadMm: t.part('screw').leadMm,
    fullStepsPerRev: t.part('motor').fullStepsPerRev,
    ratio: ratio(t),
    standardUncertaintyUm,
  })
  return { round, returnErrorUm, standardUncertaintyUm, slowReturns: slow.length, ...figures }
}
