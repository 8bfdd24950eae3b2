import { GRAVITY_M_PER_S2, radians } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import type { Say } from '../../evaluation/check'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'
import { screwSpeed } from '../sizing/checkSums'
import { gantryShare } from '../sizing/gantry'
import { axialForces } from '../sizing/motion'

/** Share of the load on the screw that carries most: all of it, or the near one's of a gantry. */
export const loadShare = remembered((t: EvaluationContext) => {
  if (t.axis.drive.screws === 1) return 1
  const { screwSpacingMm, offCentreMm } = t.axis.driveSizes
  return t.figure('gantryShare', gantryShare, { screwSpacingMm, offCentreMm }).nearShare
})

/** Mass that the worst screw moves. */
export const massKg = (t: EvaluationContext) => t.dimension('movingMassKg') * loadShare(t)

/** What pulls the slide of the worst screw down along an axis that is not level, less its counterbalance: below 0 it is lifted. */
export const weightAlongN = (t: EvaluationContext): number =>
  massKg(t) * GRAVITY_M_PER_S2 * Math.sin(radians(t.dimension('inclineDeg'))) -
  t.dimension('counterbalanceN') * loadShare(t)

/** An end of the range of what an axis carries: how heavy it is, and how much its counterbalance takes then. */
export interface LoadEnd {
  mass: 'lightest' | 'heaviest'
  /** Where in its stroke the counterbalance is; none where its force does not change. */
  counterbalance: 'weakest' | 'strongest' | null
  massKg: number
  counterbalanceN: number
}

/**
 * The ends of what the worst screw of an axis carries. Mass is a range, and a spread of force over its stroke belongs to a
 * counterbalance; without one only the heaviest counts, as more weight is then worse in everything.
 *
 * @throws InputError where the lightest is said to be more than the heaviest
 * @throws NotKnown where a counterbalance asks for the lightest mass, or for how its force changes, and nobody has measured it
 */
export const loadEnds = remembered((t: EvaluationContext): LoadEnd[] => {
  const share = loadShare(t)
  const counterbalanceN = t.dimension('counterbalanceN') * share
  const heaviest = { mass: 'heaviest', massKg: massKg(t) } as const
  if (t.dimension('inclineDeg') === 0 || counterbalanceN === 0)
    return [{ ...heaviest, counterbalance: null, counterbalanceN }]
  const lightestKg = t.dimension('lightestMassKg')
  if (lightestKg > t.dimension('movingMassKg'))
    throw new InputError(
      'lightestMassKg',
      lightestKg,
      `up to the heaviest, ${t.dimension('movingMassKg')} kg`,
    )
  const lightest = { mass: 'lightest', massKg: lightestKg * share } as const
  const halfN = (t.dimension('counterbalanceSpreadN') * share) / 2
  return [heaviest, lightest].flatMap((end): LoadEnd[] =>
    halfN === 0
      ? [{ ...end, counterbalance: null, counterbalanceN }]
      : [
          { ...end, counterbalance: 'weakest', counterbalanceN: Math.max(0, counterbalanceN - halfN) },
          { ...end, counterbalance: 'strongest', counterbalanceN: counterbalanceN + halfN },
        ],
  )
})

/** The same where nobody has measured the other end yet: what is known of it. */
const knownEnds = (t: EvaluationContext): LoadEnd[] => {
  try {
    return loadEnds(t)
  } catch (error) {
    if (!(error instanceof NotKnown || error instanceof InputError)) throw error
    return [
      {
        mass: 'heaviest',
        counterbalance: null,
        massKg: massKg(t),
        counterbalanceN: t.dimension('counterbalanceN') * loadShare(t),
      },
    ]
  }
}

/**
 * Which end of the range it is, in words; nothing where there is but one.
 *
 * @example endWords({ mass: 'lightest', counterbalance: 'strongest', massKg: 80, counterbalanceN: 1470 }, say)
 *   // 'at its lightest, 80 kg, with the counterbalance at its strongest, 1,470 N'
 */
export const endWords = ({ mass, counterbalance, massKg: kg, counterbalanceN }: LoadEnd, say: Say): string =>
  `at its ${mass}, ${say(kg, 'mass')}, with the counterbalance ${counterbalance ? `at its ${counterbalance}, ` : 'of '}${say(counterbalanceN, 'force')}`

const forcesAt = (t: EvaluationContext, { massKg: kg, counterbalanceN }: LoadEnd) => {
  const share = loadShare(t)
  return {
    massKg: kg,
    inclineDeg: t.dimension('inclineDeg'),
    frictionCoefficient: t.dimension('frictionCoefficient'),
    dragN: t.dimension('dragN') * share,
    counterbalanceN,
    cuttingForceN: t.axis.goals.cuttingForceN * share,
    accelerationMPerS2: t.axis.goals.accelerationMmPerS2 / 1000,
  }
}

/** The end of the range at which the screw carries most, and the forces along it then. */
export const worstForces = remembered((t: EvaluationContext) => {
  const ends = knownEnds(t).map(end => ({ end, ...axialForces.compute(forcesAt(t, end)) }))
  const worst = ends.reduce((a, b) => (b.maxN > a.maxN ? b : a))
  return { end: worst.end, ends, isRange: ends.length > 1 }
})

/** Forces along the screw that carries most, at the end of the range at which that is most. */
export const forces = remembered((t: EvaluationContext) => {
  const { end, ends } = worstForces(t)
  const worst = t.figure('forces', axialForces, forcesAt(t, end))
  // What rubs most is what is heaviest, also where the lightest pulls hardest.
  return { ...worst, frictionN: Math.max(...ends.map(({ frictionN }) => frictionN)) }
})

/** The larger of two forces, over the whole range of what the axis carries. */
export const hardestN = (
  t: EvaluationContext,
  up: 'accelerateUpN' | 'cutUpN',
  down: 'accelerateDownN' | 'cutDownN',
) => Math.max(...worstForces(t).ends.flatMap(end => [end[up], end[down]]))

/** At which end of its range the load is largest, as a sentence; nothing where there is but one end. */
export function worstEndWords(t: EvaluationContext, say: Say): string {
  const { end, isRange } = worstForces(t)
  return isRange ? ` It is largest ${endWords(end, say)}.` : ''
}

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
