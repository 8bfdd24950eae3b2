import { GRAVITY_M_PER_S2, radians } from '../../constants'
import type { Axis } from '../../job/types'
import { LIMITS, type LimitKey } from '../../verdicts/finding'
import { Trace } from '../../verdicts/trace'
import { forces, loadShare, massKg } from '../evaluate/load'
import type { Catalogue } from '../parts'

const HAIR = 1e-9
/** Below this margin a check fails, and above it is at least close. */
const failsBelow = (key: LimitKey) => {
  const { sense, holds, close } = LIMITS[key]
  return (sense === 'at-most' ? holds / close : close / holds) * (1 - HAIR)
}
export const FAILS = {
  open: failsBelow('motor.torqueMargin.open'),
  closed: failsBelow('motor.torqueMargin.closed'),
  inertia: failsBelow('motor.inertiaRatio'),
  step: failsBelow('motor.step'),
  stall: failsBelow('axis.stallThrust'),
  lostMotion: failsBelow('axis.lostMotion'),
  handwheel: failsBelow('axis.handwheel'),
  coupler: failsBelow('coupler.torque'),
  pull: failsBelow('belt.pull'),
  pretension: failsBelow('screw.pretension'),
  bearingLife: failsBelow('bearing.life'),
}

export const HOLDS = {
  open: LIMITS['motor.torqueMargin.open'].holds,
  closed: LIMITS['motor.torqueMargin.closed'].holds,
  inertia: LIMITS['motor.inertiaRatio'].holds,
  step: LIMITS['motor.step'].holds,
  stall: LIMITS['axis.stallThrust'].holds,
  lostMotion: LIMITS['axis.lostMotion'].holds,
  handwheel: LIMITS['axis.handwheel'].holds,
}

/** What every combination of an axis shares. */
export interface Demand {
  screws: 1 | 2
  frictionN: number
  loadMassKg: number
  hangingN: number
  inclineDeg: number
  accelerationMmPerS2: number
  spanMm: number
  lostMotionUm: number
  accuracyUm: number
  wantedLifeHours: number
  handwheelRadiusMm: number | null
}

export function demandOf(axis: Axis, catalogue: Catalogue): Demand {
  const t = new Trace(axis, catalogue)
  const { frictionN } = forces(t)
  const inclineDeg = t.dimension('inclineDeg')
  return {
    screws: axis.drive.screws,
    frictionN,
    loadMassKg: massKg(t),
    hangingN:
      massKg(t) * GRAVITY_M_PER_S2 * Math.sin(radians(inclineDeg)) -
      t.dimension('counterbalanceN') * loadShare(t),
    inclineDeg,
    accelerationMmPerS2: axis.goals.accelerationMmPerS2,
    spanMm: t.dimension('supportSpanMm'),
    lostMotionUm: axis.goals.backlashTargetUm,
    accuracyUm: axis.goals.accuracyTargetUm,
    wantedLifeHours: axis.goals.wantedLifeHours,
    handwheelRadiusMm: axis.drive.handwheelKept ? axis.driveSizes.handwheelRadiusMm : null,
  }
}
