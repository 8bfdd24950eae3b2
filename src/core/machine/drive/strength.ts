import type { Calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { stallThrust } from '../sizing/axis'
import { setLifeHours } from '../sizing/bearingRating'
import { buckling, criticalSpeed } from '../sizing/screw'
import { leadError, thermalGrowth } from '../sizing/screwAccuracy'
import { meanLoad, preloadedLife, screwLife } from '../sizing/screwLife'
import { shaftEndStress } from '../sizing/shaft'
import { freeLengthMm, pushedLengthMm, travel } from '../travel/placement'
import { chosenBrake } from './brake'
import { duty } from './duty'
import { forces } from './load'
import { drivenTorqueNm, motorAsSet } from './motorTorque'
import { efficiency, preloadN } from './torque'
import { beltLoad, hubLengthMm, isBelted, nutTurns, ratio } from './transmission'

/** Smooth running with light shocks, as on a small machine tool. */
const LOAD_FACTOR = 1.2

export const whip = remembered((t: EvaluationContext) =>
  t.figure('criticalSpeed', criticalSpeed, {
    rootDiameterMm: t.part('screw').rootDiameterMm,
    freeLengthMm: freeLengthMm(t),
    ends: t.axis.ends,
  }),
)

/** The stretch that is pushed. Beyond its nut a screw with a free end carries nothing: there the nut is the other hold. */
export const strut = remembered((t: EvaluationContext) => {
  const free = t.axis.ends === 'fixed-free'
  return t.figure('buckling', buckling, {
    rootDiameterMm: t.part('screw').rootDiameterMm,
    freeLengthMm: free ? pushedLengthMm(t) : freeLengthMm(t),
    ends: free ? 'fixed-supported' : t.axis.ends,
  })
})

export const meanDuty = remembered((t: EvaluationContext) =>
  t.figure('meanLoad', meanLoad, { phases: duty(t) }),
)

/** Life of a rolling nut in hours; null for a sliding one. */
export const nutLifeHours = remembered((t: EvaluationContext) => {
  const { dynamicCapacityN, leadMm } = t.part('screw')
  if (dynamicCapacityN === null) return null
  const preload = preloadN(t)
  if (preload > 0)
    return t.figure('life', preloadedLife, {
      dynamicCapacityN,
      preloadN: preload,
      phases: duty(t),
      leadMm,
      loadFactor: LOAD_FACTOR,
    }).lifeHours
  return t.figure('life', screwLife, { dynamicCapacityN, ...meanDuty(t), leadMm, loadFactor: LOAD_FACTOR })
    .lifeHours
})

/** One point of the chart of life over preload. */
export interface PreloadPoint {
  preloadN: number
  lifeHours: number
}

/** Life of a preloaded nut over its preload, from a hundredth to an eighth of its capacity; empty for others. */
export function lifeOverPreload(t: EvaluationContext): PreloadPoint[] {
  const { dynamicCapacityN, leadMm } = t.part('screw')
  if (dynamicCapacityN === null || preloadN(t) === 0) return []
  const phases = duty(t)
  return Array.from({ length: 24 }, (_, i) => {
    const preload = dynamicCapacityN * (0.01 + (i * 0.115) / 23)
    const { lifeHours } = preloadedLife({
      dynamicCapacityN,
      preloadN: preload,
      phases,
      leadMm,
      loadFactor: LOAD_FACTOR,
    })
    return { preloadN: preload, lifeHours }
  })
}

/** The pull set between two fixed ends, which both sets of bearings carry besides the load; 0 with any other ends. */
export const pullN = remembered((t: EvaluationContext) =>
  t.axis.ends === 'fixed-fixed' ? warmth(t).pretensionN : 0,
)

/**
 * The gap between shoulder and inner ring of the far end by which a screw held at both ends is stretched: what it would grow by.
 * 0 with any other ends.
 */
export const stretchGapMm = remembered((t: EvaluationContext) =>
  t.axis.ends === 'fixed-fixed' ? warmth(t).growthUm / 1000 : 0,
)

/** What of that pull the bearings carry: where the nut turns they sit on it, and the screw is clamped at its ends. */
export const bearingPullN = (t: EvaluationContext): number => (nutTurns(t) ? 0 : pullN(t))

/** Life of the fixed end's bearings in hours, with their preload, the pull of a stretched screw and that of a belt. */
export const bearingLifeHours = remembered((t: EvaluationContext) =>
  lifeHoursWith(t, t.part('bearing').preloadN, (name, calculate, inputs) =>
    t.figure(name, calculate, inputs),
  ),
)

/** The same with another preload than the one they are meant to have: as they were set. */
export const lifeHoursAsSet = (t: EvaluationContext, preloadN: number): number =>
  lifeHoursWith(t, preloadN, (_, calculate, inputs) => calculate.compute(inputs))

function lifeHoursWith(
  t: EvaluationContext,
  preloadN: number,
  work: <I, O>(name: string, calculate: Calculation<I, O>, inputs: I) => O,
): number {
  const { equivalentLoadN, meanSpeedRpm } = meanDuty(t)
  const load = {
    externalN: equivalentLoadN + bearingPullN(t),
    radialLoadN: isBelted(t) ? beltLoad(t).shaftLoadN : 0,
    meanSpeedRpm,
  }
  const hours = setLifeHours({ ...t.part('bearing'), preloadN }, load, work)
  if (hours === null) throw new InputError('axialLoadN', 0, 'a load over 0 N')
  return hours
}

/** Push of the nut when the motor stalls, against the weakest of what it could break. */
export const stall = remembered((t: EvaluationContext) => {
  const { thrustN } = t.figure('stall', stallThrust, {
    motorTorqueNm: drivenTorqueNm(motorAsSet(t)),
    ratio: ratio(t),
    leadMm: t.part('screw').leadMm,
    efficiency: efficiency(t).forward,
  })
  const bears = [
    { what: 'the nut at rest', bearsN: t.part('screw').staticCapacityN },
    {
      what: bearingPullN(t) > 0 ? 'the bearings at rest, less the pull of the screw' : 'the bearings at rest',
      bearsN: Math.max(1, t.part('bearing').staticCapacityN - bearingPullN(t)),
    },
    { what: 'the screw, at half of what bends it out', bearsN: strut(t).allowableLoadN },
  ]
  return { thrustN, weakest: bears.reduce((a, b) => (b.bearsN < a.bearsN ? b : a)) }
})

/** A pulley stands so far off the shoulder of the seat. */
const OFF_THE_SHOULDER_MM = 6

/** What bends the end of the screw under a belt: its pull, at the middle of the pulley. */
export const endBendingNm = (shaftLoadN: number, hubMm: number): number =>
  (shaftLoadN * (hubMm / 2 + OFF_THE_SHOULDER_MM)) / 1000

/**
 * The end of the screw that the motor turns, at its least diameter, under the largest torque that can come: the motor at a stall, or a
 * brake that grips while it runs, and a belt that bends it. On an upright axis it is what holds the load.
 */
export const screwEnd = remembered((t: EvaluationContext) => {
  const motorNm = drivenTorqueNm(motorAsSet(t)) * ratio(t)
  const brakeNm = (chosenBrake(t)?.holdingTorqueNm ?? 0) * ratio(t)
  // A screw that stands is held against turning at its ends, and twisted where it is thinnest; the belt pulls at the nut.
  const diameterMm = nutTurns(t) ? t.part('screw').rootDiameterMm : t.part('bearing').couplerSeatMm
  const stress = t.figure('endStress', shaftEndStress, {
    diameterMm,
    torqueNm: Math.max(motorNm, brakeNm),
    bendingNm: isBelted(t) && !nutTurns(t) ? endBendingNm(beltLoad(t).shaftLoadN, hubLengthMm(t)) : 0,
  })
  return {
    ...stress,
    diameterMm,
    torqueNm: Math.max(motorNm, brakeNm),
    by: brakeNm > motorNm ? 'brake' : 'motor',
  }
})

/** What a block, a bracket or a nut must hold along the screw: the largest of cut and stall. */
export const alongN = remembered((t: EvaluationContext): number => Math.max(forces(t).maxN, stall(t).thrustN))

/** How true the lead is over the travel. */
export const leadAccuracy = remembered((t: EvaluationContext) =>
  t.figure('leadAccuracy', leadError, {
    toleranceClass: t.part('screw').toleranceClass,
    travelMm: Math.max(1, travel(t).travelMm),
  }),
)

/** Growth of the screw as it warms: over the travel where it may grow, over the span where it is held. */
export const warmth = remembered((t: EvaluationContext) =>
  t.figure('warmth', thermalGrowth, {
    lengthMm: t.axis.ends === 'fixed-fixed' ? t.dimension('supportSpanMm') : Math.max(1, travel(t).travelMm),
    temperatureRiseK: t.axis.goals.temperatureRiseK,
    rootDiameterMm: t.part('screw').rootDiameterMm,
  }),
)
