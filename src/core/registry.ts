import { screwLine } from './align/screwLine'
import type { CalculationFacts } from './calculation'
import { reversal } from './prove/reversal'
import { bearingStack } from './room/bearingStack'
import { fastenerChooseLength, fastenerEngagement, fastenerTorque } from './room/fastener'
import { holeEnlarge } from './room/hole'
import { clearanceSection } from './room/section'
import { stackupChain } from './room/stackup'
import { threadDrills } from './room/thread'
import { travelBudget } from './room/travel'
import { axisStiffness, lostMotion, naturalFrequency, stallThrust, unpoweredDrop } from './sizing/axis'
import { bearingPairShare, bearingPairStiffness } from './sizing/bearing'
import { bearingAxialLife, bearingLife } from './sizing/bearingLife'
import { beltCentres, beltLength, beltStiffness, beltTension } from './sizing/belt'
import {
  couplerTorqueUse,
  inertiaRatio,
  nutSpeedValue,
  nutStaticSafety,
  screwSpeed,
  torqueMarginOf,
} from './sizing/checkSums'
import { couplerMisalignmentUse, couplerWindup } from './sizing/coupler'
import { drilling, milling } from './sizing/cutting'
import { reflectedInertia, requiredTorque } from './sizing/drive'
import { gantryShare } from './sizing/gantry'
import { handwheelForce } from './sizing/handwheel'
import { axialForces, trapezoid } from './sizing/motion'
import { stepperTorque, tableTorque } from './sizing/motor'
import { frictionLag, stepResolution } from './sizing/motorSteps'
import { nutStiffness } from './sizing/nut'
import { buckling, criticalSpeed, screwAxialStiffness } from './sizing/screw'
import { leadError, thermalGrowth } from './sizing/screwAccuracy'
import { meanLoad, preloadedLife, screwLife } from './sizing/screwLife'
import { backdriveTorque, driveTorque, preloadTorque, screwEfficiency } from './sizing/screwTorque'

const all = [
  axialForces,
  trapezoid,
  milling,
  drilling,
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
  thermalGrowth,
  leadError,
  nutStiffness,
  bearingPairShare,
  bearingPairStiffness,
  bearingLife,
  bearingAxialLife,
  couplerWindup,
  couplerMisalignmentUse,
  couplerTorqueUse,
  beltLength,
  beltCentres,
  beltTension,
  beltStiffness,
  stepperTorque,
  tableTorque,
  frictionLag,
  stepResolution,
  reflectedInertia,
  requiredTorque,
  torqueMarginOf,
  inertiaRatio,
  gantryShare,
  handwheelForce,
  axisStiffness,
  naturalFrequency,
  lostMotion,
  stallThrust,
  unpoweredDrop,
  travelBudget,
  clearanceSection,
  holeEnlarge,
  bearingStack,
  fastenerEngagement,
  fastenerChooseLength,
  fastenerTorque,
  threadDrills,
  stackupChain,
  screwLine,
  reversal,
]

/** A calculation as the registry lists it: its inputs are checked when it runs. */
export type Registered = CalculationFacts & ((inputs: Record<string, unknown>) => Record<string, unknown>)

/** Every calculation by its id. */
export const registry: ReadonlyMap<string, Registered> = new Map(
  all.map(entry => [entry.id, entry as unknown as Registered]),
)
