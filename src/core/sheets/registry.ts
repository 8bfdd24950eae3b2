import type { CalculationFacts } from '../calculation/calculation'
import { fastenerChooseLength, fastenerEngagement, fastenerTorque } from '../machine/joints/fastener'
import { threadDrills } from '../machine/joints/thread'
import {
  axisStiffness,
  lostMotion,
  naturalFrequency,
  stallThrust,
  unpoweredDrop,
} from '../machine/sizing/axis'
import { bearingPairShare, bearingPairStiffness } from '../machine/sizing/bearing'
import { bearingAxialLife, bearingLife } from '../machine/sizing/bearingLife'
import { beltCentres, beltLength, beltStiffness, beltTension } from '../machine/sizing/belt'
import {
  couplerTorqueUse,
  inertiaRatio,
  nutSpeedValue,
  nutStaticSafety,
  screwSpeed,
  torqueMarginOf,
} from '../machine/sizing/checkSums'
import { couplerMisalignmentUse, couplerWindup } from '../machine/sizing/coupler'
import { drilling, milling } from '../machine/sizing/cutting'
import { reflectedInertia, requiredTorque } from '../machine/sizing/drive'
import { gantryShare } from '../machine/sizing/gantry'
import { handwheelForce } from '../machine/sizing/handwheel'
import { axialForces, trapezoid } from '../machine/sizing/motion'
import { stepperTorque, tableTorque } from '../machine/sizing/motor'
import { frictionLag, stepResolution } from '../machine/sizing/motorSteps'
import { nutStiffness } from '../machine/sizing/nut'
import { buckling, criticalSpeed, screwAxialStiffness } from '../machine/sizing/screw'
import { leadError, thermalGrowth } from '../machine/sizing/screwAccuracy'
import { meanLoad, preloadedLife, screwLife } from '../machine/sizing/screwLife'
import { backdriveTorque, driveTorque, preloadTorque, screwEfficiency } from '../machine/sizing/screwTorque'
import { travelBudget } from '../machine/travel/calculation'
import { bearingStack } from './bearingBlock/calculation'
import { stackupChain } from './chain/calculation'
import { holeEnlarge } from './holes/calculation'
import { clearanceSection } from './nutRoom/calculation'
import { reversal } from './reversal/calculation'
import { screwLine } from './screwLine/calculation'

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
