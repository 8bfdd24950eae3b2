import { GRAVITY_M_PER_S2, radians } from '../calculation/constants'
import type { PartOf } from '../document/parts/types'
import type { EvaluationContext } from '../evaluation/context'
import { limitsOf } from '../evaluation/limits'
import { chosenBrake } from '../machine/drive/brake'
import { forces, loadEnds, loadShare, massKg } from '../machine/drive/load'
import { onOneFlank } from '../machine/drive/stiffness'
import { LIMITS } from '../sheets/parts/limits'

type LimitKey = keyof typeof LIMITS

const TOLERANCE = 1e-9

/** Limits of the checks that rest on more than one part, by short names. */
const LIMIT_NAMES = {
  open: 'motor.torqueMargin.open',
  closed: 'motor.torqueMargin.closed',
  inertia: 'motor.inertiaRatio',
  budget: 'axis.positionBudget',
  deflection: 'axis.cutDeflection',
  dynamicGive: 'axis.dynamicGive',
  unpowered: 'axis.unpoweredDrop',
  rms: 'motor.rmsTorque',
  shoulder: 'bearing.seat',
  pairPreload: 'bearing.preload',
  motorShaft: 'belt.motorShaft',
  stall: 'axis.stallThrust',
  lostMotion: 'axis.lostMotion',
  handwheel: 'axis.handwheel',
  end: 'shaft.endStress',
  coupler: 'coupler.torque',
  pull: 'belt.pull',
  pretension: 'screw.pretension',
  bearingLife: 'bearing.life',
} as const satisfies Record<string, LimitKey>
type Each = Record<keyof typeof LIMIT_NAMES, number>

const each = (of: (key: LimitKey) => number): Each =>
  Object.fromEntries(Object.entries(LIMIT_NAMES).map(([name, key]) => [name, of(key)])) as Each

/** What every combination of an axis shares. */
export interface Demand {
  /** Where each check holds. */
  holds: Each
  /** The margin below which each fails; from there on it is at least close. */
  fails: Each
  screws: 1 | 2
  frictionN: number
  loadMassKg: number
  cuttingForceN: number
  maxForceN: number
  /** Whether weight keeps the drive on one flank, so that its play does not show. */
  oneFlank: boolean
  brake: PartOf['brake'] | null
  hangingN: number
  inclineDeg: number
  accelerationMmPerS2: number
  spanMm: number
  lostMotionUm: number
  accuracyUm: number
  wantedLifeHours: number
  handwheelRadiusMm: number | null
}

export function demandOf(t: EvaluationContext): Demand {
  const axis = t.wholeAxis
  const { frictionN, maxN } = forces(t)
  const inclineDeg = t.dimension('inclineDeg')
  return {
    holds: each(key => limitsOf(axis.limits[key], LIMITS[key]).holds),
    fails: each(key => {
      const { sense, holds, close } = limitsOf(axis.limits[key], LIMITS[key])
      return (sense === 'at-most' ? holds / close : close / holds) * (1 - TOLERANCE)
    }),
    screws: axis.drive.screws,
    frictionN,
    loadMassKg: massKg(t),
    cuttingForceN: axis.goals.cuttingForceN * loadShare(t),
    maxForceN: maxN,
    oneFlank: onOneFlank(t),
    brake: chosenBrake(t),
    hangingN: hanging(t, inclineDeg),
    inclineDeg,
    accelerationMmPerS2: axis.goals.accelerationMmPerS2,
    spanMm: t.dimension('supportSpanMm'),
    lostMotionUm: axis.goals.backlashTargetUm,
    accuracyUm: axis.goals.accuracyTargetUm,
    wantedLifeHours: axis.goals.wantedLifeHours,
    handwheelRadiusMm: axis.drive.handwheelKept ? axis.driveSizes.handwheelRadiusMm : null,
  }
}

/** The load that a drive has to hold without power, at the end of its range where that is most. */
const hanging = (t: EvaluationContext, inclineDeg: number): number =>
  inclineDeg === 0
    ? 0
    : Math.max(
        ...loadEnds(t).map(({ massKg: kg, counterbalanceN }) =>
          Math.abs(kg * GRAVITY_M_PER_S2 * Math.sin(radians(inclineDeg)) - counterbalanceN),
        ),
      )
