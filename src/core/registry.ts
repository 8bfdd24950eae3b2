import { screwLine } from './align/screwLine'
import type { CalculationFacts } from './calculation'
import { reversal } from './prove/reversal'
import { travelBudget } from './room/travel'
import { bearingPairShare, bearingPairStiffness } from './sizing/bearing'
import {
  couplerTorqueUse,
  nutSpeedValue,
  nutStaticSafety,
  screwSpeed,
  torqueMarginOf,
} from './sizing/checkSums'
import { couplerWindup } from './sizing/coupler'
import { axisStiffness, lostMotion, reflectedInertia, requiredTorque, unpoweredDrop } from './sizing/drive'
import { axialForces, trapezoid } from './sizing/motion'
import { frictionLag, stepperTorque, tableTorque } from './sizing/motor'
import { nutStiffness } from './sizing/nut'
import { buckling, criticalSpeed, screwAxialStiffness } from './sizing/screw'
import { meanLoad, preloadedLife, screwLife } from './sizing/screwLife'
import { backdriveTorque, driveTorque, preloadTorque, screwEfficiency } from './sizing/screwTorque'

const all = [
  axialForces,
  trapezoid,
  screwSpeed,
  nutSpeedValue,
  nutStaticSafety,
  meanLoad,
  screwLife,
  preloadedLife,
  criticalSpeed,
  buckling,
  screwEfficiency,
  driveTorque,
  backdriveTorque,
  preloadTorque,
  screwAxialStiffness,
  nutStiffness,
  bearingPairShare,
  bearingPairStiffness,
  couplerWindup,
  couplerTorqueUse,
  stepperTorque,
  tableTorque,
  frictionLag,
  reflectedInertia,
  requiredTorque,
  torqueMarginOf,
  axisStiffness,
  lostMotion,
  unpoweredDrop,
  travelBudget,
  screwLine,
  reversal,
]

/** A calculation as the registry lists it: its inputs are checked when it runs. */
export type Registered = CalculationFacts & ((inputs: Record<string, unknown>) => Record<string, unknown>)

/** Every calculation by its id. */
export const registry: ReadonlyMap<string, Registered> = new Map(
  all.map(entry => [entry.id, entry as unknown as Registered]),
)
