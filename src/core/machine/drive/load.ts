import { type EvaluationContext, remembered } from '../../evaluation/context'
import { screwSpeed } from '../sizing/checkSums'
import { gantryShare } from '../sizing/gantry'
import { axialForces, trapezoid } from '../sizing/motion'
import type { DutyPhase } from '../sizing/screwLife'
import { travel } from '../travel/placement'

/** Share of the load on the screw that carries most: all of it, or the near one's of a gantry. */
export const loadShare = remembered((t: EvaluationContext) => {
  if (t.axis.drive.screws === 1) return 1
  const { screwSpacingMm, offCentreMm } = t.axis.driveSizes
  return t.figure('gantryShare', gantryShare, { screwSpacingMm, offCentreMm }).nearShare
})

/** Mass that the worst screw moves. */
export const massKg = (t: EvaluationContext) => t.dimension('movingMassKg') * loadShare(t)

/** Forces along the screw that carries most. */
export const forces = remembered((t: EvaluationContext) => {
  const share = loadShare(t)
  return t.figure('forces', axialForces, {
    massKg: massKg(t),
    inclineDeg: t.dimension('inclineDeg'),
    frictionCoefficient: t.dimension('frictionCoefficient'),
    dragN: t.dimension('dragN') * share,
    counterbalanceN: t.dimension('counterbalanceN') * share,
    cuttingForceN: t.axis.goals.cuttingForceN * share,
    accelerationMPerS2: t.axis.goals.accelerationMmPerS2 / 1000,
  })
})

/** Speed of the screw at the top speed of the table. */
export const topSpeedRpm = remembered(
  (t: EvaluationContext) =>
    t.figure('topSpeed', screwSpeed, {
      speedMmPerMin: t.axis.goals.topSpeedMmPerMin,
      leadMm: t.part('screw').leadMm,
    }).speedRpm,
)
export const cuttingSpeedRpm = (t: EvaluationContext) =>
  t.axis.goals.cuttingFeedMmPerMin / t.part('screw').leadMm

/** A kind of work in a typical hour, as the duty table shows it. */
export interface DutyLine {
  label: string
  forceN: number
  speedMmPerMin: number
  timeShare: number
  /** How hard the drive speeds up, or below 0 slows down; a table of the builder's own does not say. */
  accelerationMmPerS2?: number
}

/**
 * What a typical hour is made of: the builder's own table, or cutting both ways and rapid moves over the
 * travel both ways, reckoned from the goals.
 */
export const dutyLines = remembered((t: EvaluationContext): DutyLine[] => {
  if (t.axis.duty) return t.axis.duty
  const { topSpeedMmPerMin, accelerationMmPerS2, cuttingFeedMmPerMin, cuttingShare } = t.axis.goals
  const move = t.figure('rapidMove', trapezoid, {
    distanceMm: Math.max(1, travel(t).travelMm),
    speedMmPerS: topSpeedMmPerMin / 60,
    accelerationMmPerS2,
  })
  const load = forces(t)
  const peakMmPerMin = move.peakSpeedMmPerS * 60
  const rapidShare = 1 - cuttingShare
  const rampShare = (rapidShare * move.accelerateS) / move.totalS
  const both = (label: string, upN: number, downN: number, speedMmPerMin: number, share: number, by = 0) => [
    {
      label: `${label}, up or out`,
      forceN: upN,
      speedMmPerMin,
      timeShare: share / 2,
      accelerationMmPerS2: by,
    },
    {
      label: `${label}, down or back`,
      forceN: -downN,
      speedMmPerMin,
      timeShare: share / 2,
      accelerationMmPerS2: by,
    },
  ]
  return [
    ...both('Cutting', load.cutUpN, load.cutDownN, cuttingFeedMmPerMin, cuttingShare),
    ...both(
      'Speeding up',
      load.accelerateUpN,
      load.accelerateDownN,
      peakMmPerMin / 2,
      rampShare,
      accelerationMmPerS2,
    ),
    ...both(
      'Running',
      load.cruiseUpN,
      load.cruiseDownN,
      peakMmPerMin,
      (rapidShare * move.cruiseS) / move.totalS,
    ),
    ...both(
      'Slowing',
      load.decelerateUpN,
      load.decelerateDownN,
      peakMmPerMin / 2,
      rampShare,
      -accelerationMmPerS2,
    ),
  ]
})

/**
 * What a line of the duty asks of the drive in the direction in which it moves, on the worst screw: below 0 the load
 * drives. The first of a pair moves up or out and its force is along that, the other down or back and against.
 */
export const dutyLoads = remembered((t: EvaluationContext) => {
  const share = t.axis.duty ? loadShare(t) : 1
  return dutyLines(t).map(({ forceN, timeShare, accelerationMmPerS2 = 0 }, index) => ({
    loadN: (t.axis.duty ? Math.abs(forceN) : index % 2 === 0 ? forceN : -forceN) * share,
    timeShare,
    accelerationMmPerS2,
  }))
})

/** The duty as the life formulas take it: forces of the worst screw over its speeds. */
export const duty = remembered((t: EvaluationContext): DutyPhase[] => {
  const { leadMm } = t.part('screw')
  // A table of the builder's own is for the whole axis; the reckoned one is already for the worst screw.
  const share = t.axis.duty ? loadShare(t) : 1
  return dutyLines(t).map(({ forceN, speedMmPerMin, timeShare }) => ({
    forceN: forceN * share,
    speedRpm: speedMmPerMin / leadMm,
    timeShare,
  }))
})
