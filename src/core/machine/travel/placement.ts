import { InputError } from '../../calculation/inputError'
import { DIMENSIONS } from '../../document/dimensions'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { expectedUntilRead } from '../castings'
import { hubLengthMm, nutTurns } from '../drive/transmission'
import { travelBudget } from './calculation'

/** How far the nut reaches from the bracket face that its flange sits on. */
export const nutReach = remembered((t: EvaluationContext) => {
  const screw = t.part('screw')
  // A nut that turns reaches as far as its housing with the pulley beside it.
  const housingMm = nutTurns(t) ? t.part('bearing').blockLengthMm + hubLengthMm(t) : 0
  const bodyMm = Math.max(screw.nutBodyLengthMm, t.dimension('bracketThicknessMm'), housingMm)
  return t.axis.nutFacing === 'far'
    ? { nutAheadMm: bodyMm, nutBehindMm: screw.nutFlangeThicknessMm }
    : { nutAheadMm: screw.nutFlangeThicknessMm, nutBehindMm: bodyMm }
})

/** The travel that is left between blocks so far apart, on ways that allow so much of it. */
export function travelOf(t: EvaluationContext, name: string, supportSpanMm: number, wayTravelMm: number) {
  const { recessFixedMm, recessFarMm, safetyFixedMm, safetyFarMm } = t.axis.recesses
  return t.figure(name, travelBudget, {
    supportSpanMm,
    wayTravelMm,
    ...nutReach(t),
    recessFixedMm,
    recessFarMm,
    safetyFixedMm,
    safetyFarMm,
  })
}

/** The travel that is left, from the survey, the nut and what is chosen to make room. */
export const travel = remembered((t: EvaluationContext) =>
  travelOf(t, 'travel', t.dimension('supportSpanMm'), t.dimension('wayTravelMm')),
)

/**
 * The least and the most travel that the machines before make one expect, while nobody has read how much the ways allow; null
 * once it is read, and where they say nothing of it or the span is not known.
 */
export const expectedTravel = remembered((t: EvaluationContext) => {
  const way = expectedUntilRead(t.axis, 'wayTravelMm')
  const { value: spanMm } = t.dimensionAsItIs('supportSpanMm')
  if (!way || spanMm === null) return null
  const wayMm = t.dimensionAsItIs('wayTravelMm').value ?? way.mean
  const leastWayMm = Math.max(DIMENSIONS.wayTravelMm.min, wayMm - way.halfWidth)
  return {
    machines: way.machines,
    leastMm: travelOf(t, 'travelAtLeast', spanMm, leastWayMm).travelMm,
    mostMm: travelOf(t, 'travelAtMost', spanMm, wayMm + way.halfWidth).travelMm,
  }
})

/** Where the bracket face stands at the two ends of what the screw allows, from the fixed block's face. */
export const nutRange = remembered((t: EvaluationContext) => {
  const { screwTravelMm } = travel(t)
  const { recesses } = t.axis
  const firstMm = nutReach(t).nutBehindMm + recesses.safetyFixedMm - recesses.recessFixedMm
  return { firstMm, lastMm: firstMm + Math.max(0, screwTravelMm) }
})

/**
 * The longest stretch of screw that nothing holds, with the nut where that is worst.
 *
 * A screw with a free far end is longest beyond the nut; any other is longest on the side of the nut that it
 * has just left.
 *
 * @throws InputError when the blocks are so close that the nut cannot travel at all
 */
export const freeLengthMm = remembered((t: EvaluationContext) => {
  const { firstMm, lastMm } = nutRange(t)
  const { nutAheadMm, nutBehindMm } = nutReach(t)
  const spanMm = t.dimension('supportSpanMm')
  const beyondMm = spanMm - firstMm - nutAheadMm
  const beforeMm = lastMm - nutBehindMm
  const { screwTravelMm } = travel(t)
  if (screwTravelMm <= 0)
    throw new InputError(
      'supportSpanMm',
      spanMm,
      `more than ${spanMm - screwTravelMm} mm, which the nut and what is kept clear take up`,
    )
  return t.axis.ends === 'fixed-free' ? beyondMm : Math.max(beyondMm, beforeMm)
})

/**
 * The longest stretch that the load pushes: from the fixed block to the nut at the far end of its travel.
 *
 * @throws InputError as freeLengthMm does
 */
export const pushedLengthMm = remembered((t: EvaluationContext) => {
  freeLengthMm(t)
  return Math.max(1, nutRange(t).lastMm - nutReach(t).nutBehindMm)
})
