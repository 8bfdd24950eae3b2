import type { CalculationFacts } from '../calculation/calculation'
import { nextOfKind } from './castings'
import {
  axisStiffness,
  dynamicGive,
  lostMotion,
  naturalFrequency,
  stallThrust,
  unpoweredDrop,
} from './sizing/axis'
import { bearingPairShare, bearingPairStiffness } from './sizing/bearing'
import { bearingAxialLife, bearingLife, grooveLife } from './sizing/bearingLife'
import { beltCentres, beltLength, beltStiffness, beltTension } from './sizing/belt'
import {
  couplerTorqueUse,
  inertiaRatio,
  nutPressureSpeed,
  nutSpeedValue,
  nutStaticSafety,
  positionBudget,
  screwSpeed,
  torqueMarginOf,
} from './sizing/checkSums'
import { couplerMisalignmentUse, couplerWindup } from './sizing/coupler'
import { drilling, milling, turning } from './sizing/cutting'
import { reflectedInertia, requiredTorque } from './sizing/drive'
import { gantryShare } from './sizing/gantry'
import { handwheelForce } from './sizing/handwheel'
import { axialForces, trapezoid } from './sizing/motion'
import { rmsTorque, stepperTorque, tableTorque } from './sizing/motor'
import { frictionLag, stepResolution } from './sizing/motorSteps'
import { nutStiffness } from './sizing/nut'
import { buckling, criticalSpeed, screwAxialStiffness, screwSag } from './sizing/screw'
import { leadError, thermalGrowth } from './sizing/screwAccuracy'
import { meanLoad, preloadedLife, screwLife } from './sizing/screwLife'
import { backdriveTorque, driveTorque, preloadTorque, screwEfficiency } from './sizing/screwTorque'
import { shaftEndStress } from './sizing/shaft'
import { strokeTorque } from './sizing/stroke'
import { travelBudget } from './travel/calculation'
import { counterweight } from './travel/counterweight'

/** Calculations that several sheets share, in the order of a drive. */
export const MACHINE_CALCULATIONS: readonly CalculationFacts[] = [
  axialForces,
  trapezoid,
  milling,
  drilling,
  turning,
  screwSpeed,
  nutSpeedValue,
  nutPressureSpeed,
  nutStaticSafety,
  meanLoad,
  screwLife,
  preloadedLife,
  criticalSpeed,
  buckling,
  screwSag,
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
  grooveLife,
  couplerWindup,
  couplerMisalignmentUse,
  couplerTorqueUse,
  beltLength,
  beltCentres,
  beltTension,
  beltStiffness,
  stepperTorque,
  tableTorque,
  rmsTorque,
  strokeTorque,
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
  dynamicGive,
  lostMotion,
  positionBudget,
  stallThrust,
  shaftEndStress,
  unpoweredDrop,
  travelBudget,
  counterweight,
  nextOfKind,
]
