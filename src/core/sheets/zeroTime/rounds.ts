import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { bySteps } from '../shared/rounds/resolution'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { zeroAgainstTime } from './calculation'
import { ZERO_ROUNDS, type ZeroRound } from './model'

/** Every three minutes for half an hour: longer than most screws take to come near their warmth. */
const FIRST_MINUTES = Array.from({ length: 11 }, (_, index) => 3 * index)
const NEAR_SHARE = 0.1
const FAR_SHARE = 0.9
/** Fewer returns, or a shorter time, say nothing of warmth. */
export const FEWEST_RETURNS = 8
export const SHORTEST_MIN = 10
/** What is left to come may be so much of what counts when it is called warm. */
const LEFT_SHARE = 1 / 4

export const zeroRounds = defineRounds<ZeroRound>({
  about: 'Zero against time',
  of: ZERO_ROUNDS,
  pick: axis => axis.zeroRounds,
  only: zeroRounds => ({ zeroRounds }),
  proves: true,
  across: true,
  columns: [
    { key: 'nearUm', step: round => round.gaugeStepUm, at: 'minutes' },
    { key: 'farUm', step: round => round.gaugeStepUm, at: 'minutes' },
  ],
  begin: (axis, shop) => {
    const travelMm = axis.dimensions.wayTravelMm.value ?? axis.goals.wantedTravelMm
    return {
      gaugeStepUm: shop.gaugeStepUm,
      nearMm: Math.round(NEAR_SHARE * travelMm),
      farMm: Math.round(FAR_SHARE * travelMm),
      stations: FIRST_MINUTES.map(minutes => ({ minutes, nearUm: null, farUm: null })),
    }
  },
  worst: (t, round) => {
    const found = attempt(() => driftOf(t, round)).value
    return found ? { value: found.movedUm, quantity: 'smallLength' } : null
  },
  resolution: bySteps(({ axis }) => axis.goals.accuracyTargetUm / 2),
  worstWords: 'furthest apart',
})

/** The returns of a round that were read, in the order of their minutes. */
export const returnsOf = ({ stations }: Pick<ZeroRound, 'stations'>) =>
  stations
    .toSorted((a, b) => a.minutes - b.minutes)
    .flatMap(({ minutes, nearUm, farUm }) => [
      ...(nearUm === null ? [] : [{ minutes, place: 'near' as const, readingUm: nearUm }]),
      ...(farUm === null ? [] : [{ minutes, place: 'far' as const, readingUm: farUm }]),
    ])

/** What a round says; null while too little of it is read. */
export function driftOf(t: EvaluationContext, round: ZeroRound) {
  const returns = returnsOf(round)
  const minutes = returns.map(one => one.minutes)
  const overMin = Math.max(...minutes) - Math.min(...minutes)
  if (new Set(minutes).size < FEWEST_RETURNS || overMin < SHORTEST_MIN) return null
  const figures = t.figure('zeroAgainstTime', zeroAgainstTime, { stepUm: round.gaugeStepUm ?? 0, returns })
  const { growthNearUm, growthFarUm, timeConstantMinutes } = figures
  const [near, far] = [growthNearUm ?? 0, growthFarUm ?? 0]
  const movedUm = (['near', 'far'] as const).reduce((most, place) => {
    const of = returns.filter(one => one.place === place).map(one => one.readingUm)
    return of.length === 0 ? most : Math.max(most, Math.max(...of) - Math.min(...of))
  }, 0)
  const apartMm = Math.abs(round.farMm - round.nearMm)
  const bothRead = growthNearUm !== null && growthFarUm !== null
  const mostUm = Math.max(Math.abs(near), Math.abs(far))
  const countsUm = t.axis.goals.accuracyTargetUm
  const warmUpMin =
    timeConstantMinutes === null || mostUm <= LEFT_SHARE * countsUm
      ? 0
      : Math.ceil(timeConstantMinutes * Math.log(mostUm / (LEFT_SHARE * countsUm)))
  return {
    ...figures,
    round,
    movedUm,
    mostUm,
    bothRead,
    perMUm: bothRead && apartMm > 0 ? (1000 * (far - near)) / apartMm : null,
    /** What both places share of the growth: no screw grows so. */
    alikeUm: bothRead && near * far > 0 ? Math.min(Math.abs(near), Math.abs(far)) : 0,
    overMin,
    times: new Set(minutes).size,
    warmUpMin,
  }
}

/** What the last round says; null while there is none that can tell. */
export function lastDrift(t: EvaluationContext) {
  const round = lastRound(zeroRounds, t.axis)
  return round ? driftOf(t, round) : null
}
