import type { EvaluationContext } from '../evaluation/context'
import { forces, weightAlongN } from '../machine/drive/load'
import { driveStiffness, lostMotionBudget } from '../machine/drive/stiffness'
import { dragNm } from '../machine/drive/torque'
import { isBelted, ratio } from '../machine/drive/transmission'
import { nutRange } from '../machine/travel/placement'
import { addedPull } from '../sheets/preload/rounds'
import type { AxisFigures } from '../simulate/axis/figures'

/** What casting, block and bracket give, where no part of a list says it. */
const CAST_N_PER_UM = 2000
/** What holds a motor that stands still: its lag is reckoned as a play. */
const MOTOR_N_PER_UM = 4000
/** Across the screw. */
const BLOCK_N_PER_UM = 50
const NUT_N_PER_UM = 80
/** Against rocking; both grow with the screw, about by the cube of its diameter. */
const PAIR_NM_PER_RAD_OF_20 = 8000
const NUT_NM_PER_RAD_OF_20 = 2000
const REFERENCE_DIAMETER_MM = 20
/** Balls roll at about this friction, on a radius of about half the screw. */
const BALL_FRICTION = 0.01
const SLIDING_BREAKAWAY = 1.4
const ROLLING_BREAKAWAY = 1.1
/** From here on ways slide on each other. */
const SLIDES_FROM = 0.03

/** Seals and grease take as much again, at least. */
const MOST_OF_DRAG = 0.5
/** On a lever of a metre a pull is as large as its torque. */
const A_METRE = { leverMm: 1000 }

/**
 * The axis of a job as its figures have it, sound, for the simulation.
 *
 * @throws NotKnown while the drive is not chosen or measured
 */
export function axisFigures(t: EvaluationContext): AxisFigures {
  const { axis } = t
  const { leadMm, rootDiameterMm } = t.part('screw')
  const { parts } = driveStiffness(t)
  const { causes } = lostMotionBudget(t)
  const playUm = (subject: string) => causes.find(cause => cause.subject === subject)?.um ?? 0
  const { firstMm } = nutRange(t)
  const inclineDeg = t.dimension('inclineDeg')
  const thicker = (rootDiameterMm / REFERENCE_DIAMETER_MM) ** 3
  return {
    spanMm: t.dimension('supportSpanMm'),
    rootDiameterMm,
    leadMm,
    ratio: ratio(t),
    ends: axis.ends,
    inclineDeg,
    travelMm: axis.goals.wantedTravelMm,
    nutAtZeroMm: Math.max(firstMm, 1),
    nutWay: 1,
    links: {
      motor: { playUm: playUm('motor'), stiffnessNPerUm: MOTOR_N_PER_UM },
      coupler: { playUm: playUm(isBelted(t) ? 'belt' : 'coupler'), stiffnessNPerUm: parts.coupler },
      block: { playUm: 0, stiffnessNPerUm: CAST_N_PER_UM },
      bearing: { playUm: playUm('bearing'), stiffnessNPerUm: parts.bearing },
      nut: { playUm: playUm('nut'), stiffnessNPerUm: 1 / (1 / parts.nut + 1 / parts.torsion) },
      bracket: { playUm: 0, stiffnessNPerUm: CAST_N_PER_UM },
    },
    blockStiffnessNPerUm: BLOCK_N_PER_UM,
    nutStiffnessNPerUm: NUT_N_PER_UM,
    pairRockingNmPerRad: PAIR_NM_PER_RAD_OF_20 * thicker,
    nutRockingNmPerRad: NUT_NM_PER_RAD_OF_20 * thicker,
    frictionN: forces(t).frictionN,
    breakaway: t.dimension('frictionCoefficient') < SLIDES_FROM ? ROLLING_BREAKAWAY : SLIDING_BREAKAWAY,
    weightN: weightAlongN(t),
    frictionCoefficient: t.dimension('frictionCoefficient'),
    dragNm: dragNm(t),
    bearingDragNm: Math.min(addedPull(t, A_METRE)?.pullN ?? 0, MOST_OF_DRAG * dragNm(t)),
    sideLeverMm: (BALL_FRICTION * rootDiameterMm) / 2,
    fullStepsPerRev: t.part('motor').fullStepsPerRev,
    topSpeedMmPerMin: axis.goals.topSpeedMmPerMin,
  }
}
