import type { ToleranceClass } from '../../machine/sizing/screwAccuracy'
import type { Shop } from '../../sheets/making'
import type { PartKind } from '../job'

interface PartFacts {
  id: string
  /** What it is, in the trade's words. */
  name: string
  maker: string
  priceEur: number
}

/** A screw with its nut. A sliding nut has no rolling capacity and no rated stiffness of balls. */
export interface ScrewPart extends PartFacts {
  kind: 'ball' | 'sliding'
  nominalDiameterMm: number
  rootDiameterMm: number
  /** Ball circle of a ball screw, pitch diameter of a sliding one. */
  pitchDiameterMm: number
  leadMm: number
  /** Null for a sliding nut: it wears, it does not tire. */
  dynamicCapacityN: number | null
  staticCapacityN: number
  ratedStiffnessNPerUm: number
  frictionCoefficient: number
  flankAngleDeg: number
  /** As delivered; 0 is a nut with play. */
  preloadN: number
  /** Play along the screw as delivered. */
  nutPlayUm: number
  /** Largest product of pitch diameter in mm and speed in rpm. */
  speedValueLimit: number
  nutBodyLengthMm: number
  nutBodyDiameterMm: number
  nutFlangeThicknessMm: number
  nutFlangeDiameterMm: number
  /** How true its lead is, by ISO 3408-3. */
  toleranceClass: ToleranceClass
}

/** The bearings of the fixed end in their block. */
export interface BearingPart extends PartFacts {
  arrangement: 'deep-groove' | 'back-to-back' | 'face-to-face' | 'double-row'
  boreMm: number
  /** Diameter of the screw's end that the coupler takes. */
  couplerSeatMm: number
  ballCount: number
  ballDiameterMm: number
  contactAngleDeg: number
  /** Radial by ISO 281 at 25, 30 and 40 degrees; along the shaft at any other angle. */
  dynamicCapacityN: number
  /** Along the shaft. */
  staticCapacityN: number
  preloadN: number
  axialPlayUm: number
  dragTorqueNm: number
  blockLengthMm: number
  blockHeightMm: number
}

export interface CouplerPart extends PartFacts {
  type: 'slit' | 'jaw' | 'bellows' | 'disc' | 'sliding'
  hub: 'clamp' | 'set-screw'
  ratedTorqueNm: number
  /** What the maker multiplies a motor's peak torque by. */
  serviceFactor: number
  torsionalStiffnessNmPerRad: number
  backlashDeg: number
  inertiaKgM2: number
  smallestBoreMm: number
  largestBoreMm: number
  lengthMm: number
  diameterMm: number
  /** Gap to keep between the hubs of a jaw coupler; 0 for others. */
  hubGapMm: number
  /** What it bears of each misalignment when it is the only one. */
  parallelLimitMm: number
  angularLimitDeg: number
  axialLimitMm: number
}

/** Two pulleys and the width of toothed belt that runs on them; its length follows from the centres. */
export interface BeltPart extends PartFacts {
  pitchMm: number
  widthMm: number
  teethMotor: number
  teethScrew: number
  massPerLengthKgPerM: number
  /** Pull that would stretch a strand by its own length: tensile stiffness of the cords. */
  cordStiffnessN: number
  ratedPullN: number
  serviceFactor: number
  tensionFactor: number
  efficiency: number
  /** Play between teeth and pulley on the pitch line. */
  toothPlayUm: number
  motorPulleyInertiaKgM2: number
  screwPulleyInertiaKgM2: number
  smallestBoreMm: number
  largestBoreMm: number
  largestScrewBoreMm: number
}

/** A motor with the driver and supply that it is sold with. */
export interface MotorPart extends PartFacts {
  loop: 'open' | 'closed'
  frameMm: number
  lengthMm: number
  shaftMm: number
  rotorInertiaKgM2: number
  /** Greatest torque: holding for a stepper, peak for a servo. */
  holdingTorqueNm: number
  detentTorqueNm: number
  fullStepsPerRev: number
  ratedCurrentA: number
  driveCurrentA: number
  inductanceMh: number
  supplyV: number
  /** The maker's torque over speed; wins over the model from the windings. */
  curve: { speedRpm: number; torqueNm: number }[] | null
}

export interface PartOf extends Record<PartKind, PartFacts> {
  screw: ScrewPart
  bearing: BearingPart
  coupler: CouplerPart
  belt: BeltPart
  motor: MotorPart
}

/** A parts list, by kind and id. */
export type PartsList = { readonly [K in PartKind]: ReadonlyMap<string, PartOf[K]> }
/** What a job can draw on: the parts to choose from, and the tools and stock at hand. */
export type Catalogue = PartsList & { readonly shop: Shop }

/** Parts that a builder has added to the list. */
export type OwnParts = { readonly [K in PartKind]: readonly PartOf[K][] }
