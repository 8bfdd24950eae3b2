import type { EvaluationContext } from '../../evaluation/context'
import { meanOf, spreadOf } from '../shared/proofs/fewReadings'
import { inCycles } from '../shared/proofs/lostSteps'
import { bySteps } from '../shared/rounds/resolution'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { RETURN_ROUNDS, type ReturnRound } from './model'

const FIRST_RETURNS = 3

const of = (round: ReturnRound, key: 'slowUm' | 'fastUm') => round.stations.flatMap(one => one[key] ?? [])

export const returnRounds = defineRounds<ReturnRound>({
  about: 'Back to zero',
  of: RETURN_ROUNDS,
  pick: axis => axis.returnRounds,
  only: returnRounds => ({ returnRounds }),
  proves: true,
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
    const shift = shiftOf(round, null)
    return shift ? { value: Math.abs(shift.furthestUm), quantity: 'smallLength' } : null
  },
  resolution: bySteps(({ axis }) => axis.goals.backlashTargetUm / 2),
  worstWords: 'furthest off zero',
})

/** What is left beside whole cycles goes apart by more than this share of one where it was none that was lost. */
const APART_SHARE = 1 / 8

/**
 * How far the fast returns are off the slow ones: whole cycles at the one that is furthest, and beside them what is left on
 * average, which is known better than any one of them.
 *
 * @param cycleUm one cycle of the motor; none where it has none
 */
function shiftOf(round: ReturnRound, cycleUm: number | null) {
  const [slow, fast] = [of(round, 'slowUm'), of(round, 'fastUm')]
  if (slow.length === 0 || fast.length === 0) return null
  const zero = meanOf(slow)
  const cyclesOf = (um: number) => (cycleUm === null ? 0 : Math.round(um / cycleUm))
  const off = fast.map(one => one - zero)
  const cycles = off.map(cyclesOf).reduce((most, one) => (Math.abs(one) > Math.abs(most) ? one : most))
  const rests = off.map(one => one - cyclesOf(one) * (cycleUm ?? 0))
  const restUm = meanOf(rests)
  const furthestUm = furthestOf(off)
  const inCycles = rests.every(one => Math.abs(one - restUm) <= APART_SHARE * (cycleUm ?? 0))
  return inCycles
    ? { shiftUm: cycles * (cycleUm ?? 0) + restUm, rests, slow, furthestUm }
    : { shiftUm: furthestUm, rests: off, slow, furthestUm, isAnyhow: true }
}
const furthestOf = (off: readonly number[]) =>
  off.reduce((worst, one) => (Math.abs(one) > Math.abs(worst) ? one : worst))

/** What grows from return to return by so much of what it comes to, a step of the gauge and more at each, is no single slip. */
const GROWS_SHARE = 0.5
const LEAP_SHARE = 0.7

/** Whether returns go further off one after another: by warmth, by a base that creeps, or by a little slip each time. */
function goesOn(rests: readonly number[], stepUm: number): boolean {
  const [first, last] = [rests[0], rests.at(-1)]
  if (rests.length < 3 || first === undefined || last === undefined) return false
  const way = Math.sign(last - first)
  const steps = rests.slice(1).map((one, index) => way * (one - (rests[index] as number)))
  const onward = steps.every(step => step > -stepUm)
  const whole = Math.abs(last - first)
  // One leap that makes most of it is a slip.
  return (
    onward &&
    whole > Math.max(2 * stepUm, GROWS_SHARE * Math.abs(furthestOf(rests))) &&
    Math.max(...steps) <= LEAP_SHARE * whole
  )
}

/**
 * Whether the last round lost steps; null while it is not read.
 *
 * What the mean of the returns is uncertain by comes of how they and the slow ones spread, and of the step of the gauge.
 *
 * @throws NotKnown without a motor and a screw
 */
export function stepsLost(t: EvaluationContext, stepUm: number) {
  const round = lastRound(returnRounds, t.axis)
  const cycleUm = inCycles(t, 0, 0).cycleUm
  const shift = round ? shiftOf(round, cycleUm) : null
  if (!round || !shift) return null
  const { rests, slow, shiftUm } = shift
  // Returns that come out anyhow say nothing of how well one is read: the slow ones do.
  const alike = shift.isAnyhow ? [slow] : [slow, rests]
  const squares = alike.reduce((sum, all) => sum + (all.length - 1) * spreadOf(all).deviation ** 2, 0)
  const spare = alike.reduce((sum, all) => sum + all.length - 1, 0)
  const variance = spare > 0 ? squares / spare : 0
  const standardUncertaintyUm = Math.sqrt(
    variance * (1 / slow.length + (shift.isAnyhow ? 1 : 1 / rests.length)) + (2 * stepUm ** 2) / 12,
  )
  return {
    round,
    returnErrorUm: shiftUm,
    standardUncertaintyUm,
    spare,
    slowReturns: slow.length,
    goesOn: goesOn(rests, stepUm),
    ...inCycles(t, shiftUm, standardUncertaintyUm),
  }
}
