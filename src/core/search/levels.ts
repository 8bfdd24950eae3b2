import { STEEL_DENSITY_KG_PER_M3 } from '../calculation/constants'
import type { Axis, Drive } from '../document/axis'
import { turnsNut } from '../document/axis'
import type { PartKind, ScrewEnds } from '../document/kinds'
import type { PartOf } from '../document/parts/types'

import type { EvaluationContext } from '../evaluation/context'
import { leadAsItRuns } from '../machine/drive/accuracy'
import { workPhases } from '../machine/drive/duty'
import { cuttingSpeedRpm, forces, hardestN, topSpeedRpm } from '../machine/drive/load'
import { drivenTorqueNm } from '../machine/drive/motorTorque'
import { axialSupport, softestAtMm } from '../machine/drive/stiffness'
import { meanDuty, pullN, strut, warmth } from '../machine/drive/strength'
import { driveTorqueNm, efficiency, loadTorqueNm, preloadDragNm } from '../machine/drive/torque'
import { beltRun } from '../machine/drive/transmission'

import { bearingPairStiffness } from '../machine/sizing/bearing'
import { beltStiffness, beltTension } from '../machine/sizing/belt'
import { couplerWindup } from '../machine/sizing/coupler'
import { nutStiffness } from '../machine/sizing/nut'
import { screwAxialStiffness, screwTorsionNmPerRad } from '../machine/sizing/screw'
import type { Within } from './within'

/** What a part alone decides; a part that fails alone has no level. */
export interface Level {
  /** Least margin of the checks that rest on this part alone; no combination with it has more. */
  margin: number
  priceEur: number
  /** Not a number where nobody knows it, which is within no limit. */
  massKg: number
  /** Days until it is there; none where nobody knows. */
  days: number | null
}
type Known = Pick<Level, 'massKg' | 'days'>

/** How heavy a part is on all screws, and when it is there. */
const known = (axis: Axis, { daysOf }: Within, part: PartOf[PartKind]): Known => ({
  massKg: (part.massKg ?? Number.NaN) * axis.drive.screws,
  days: daysOf(part),
})

/** A screw with a way to hold its ends, and all that the drive asks of it. */
export interface ScrewLevel extends Level {
  part: PartOf['screw']
  ends: ScrewEnds
  forwardEfficiency: number
  backwardEfficiency: number
  acceleratingNm: number
  cuttingNm: number
  frictionNm: number
  handNm: number
  preloadDragNm: number
  topRpm: number
  cuttingRpm: number
  /** Give of screw and nut, per newton. */
  screwUmPerN: number
  nutUmPerN: number
  /** Give of the link, per newton, times its torsional stiffness. */
  linkUmNmPerNRad: number
  inertiaPerMmKgM2: number
  /** Of the screw itself, whose length rests on what goes with it. */
  massPerMmKg: number
  strutN: number
  /** Pull between two fixed ends; 0 with any other. */
  pullN: number
  /** What the lead may be off, as it runs and as a table leaves it, and what the screw grows. */
  leadUm: number
  leadLeftUm: number
  growthUm: number
  /** Loads of a typical hour along their way, with their speeding up. */
  duty: { loadNm: number; timeShare: number; accelerationMmPerS2: number; rests: boolean }[]
  mean: { equivalentLoadN: number; meanSpeedRpm: number }
}

export interface BearingLevel extends Level {
  part: PartOf['bearing']
  /** Give of the pair, per newton. */
  pairUmPerN: number
}

/** A coupler, or a belt with its pulleys. */
export interface LinkLevel extends Level {
  coupler: PartOf['coupler'] | null
  belt: PartOf['belt'] | null
  ratio: number
  efficiency: number
  hubMm: number
  motorInertiaKgM2: number
  screwInertiaKgM2: number
  torsionalStiffnessNmPerRad: number
  /** Play at the table for a lead of 1 mm. */
  playUmPerLeadMm: number
  leastBoreMm: number
  mostMotorBoreMm: number
  mostScrewBoreMm: number
}

export interface MotorLevel extends Level {
  /** Its place among the motors of the field. */
  place: number
  part: PartOf['motor']
  /** Its greatest torque with the driver as it is set. */
  drivenNm: number
}

const NO_PARTS: Omit<Axis['parts'], 'brake'> = {
  screw: null,
  bearing: null,
  coupler: null,
  belt: null,
  motor: null,
}

/** Judges an axis with a few of its parts, by the very checks that judge it whole. */
function judgeAlone(t: EvaluationContext) {
  const drive = t.driveFindings
  const known = drive.filter(({ state }) => state !== 'unknown')
  return {
    // What cannot be worked out although nothing is missing will not be worked out with more parts either.
    feasible: drive.every(
      ({ state, missing }) => state !== 'fails' && (state !== 'unknown' || missing !== null),
    ),
    margin: known.reduce(
      (least, { rankMargin }) => Math.min(least, rankMargin ?? least),
      Number.POSITIVE_INFINITY,
    ),
  }
}

/** An axis without the parts and the ends that the search fills; a brake that is chosen stays. */
export const bare = (axis: Axis): Axis => ({
  ...axis,
  parts: { ...NO_PARTS, brake: axis.parts.brake },
  preloadN: null,
  // A way to hold the ends that any drive can have, while it is not settled: a handwheel fails on a free end, whatever turns it.
  ends: 'fixed-supported',
  // A search turns the screw, also where a nut turns today.
  drive: {
    ...axis.drive,
    transmission: turnsNut(axis.drive) ? 'belt' : axis.drive.transmission,
    currentA: null,
  },
})

export const withParts = (axis: Axis, parts: Partial<Record<PartKind, string>>): Axis => ({
  ...axis,
  parts: { ...NO_PARTS, brake: axis.parts.brake, ...parts },
})

/** What a search chooses. */
export interface DriveChoice {
  screw: string
  ends: ScrewEnds
  bearing: string
  transmission: Drive['transmission']
  coupler: string | null
  belt: string | null
  motor: string
}

/** The axis with a drive that the search has found; the preload is as the nut is delivered. */
export const axisWith = (axis: Axis, choice: DriveChoice): Axis => ({
  ...axis,
  preloadN: null,
  ends: choice.ends,
  drive: { ...axis.drive, transmission: choice.transmission, currentA: null },
  // What is chosen for the other kind of drive stays, in case the builder comes back to it.
  parts: {
    screw: choice.screw,
    bearing: choice.bearing,
    coupler: choice.coupler ?? axis.parts.coupler,
    belt: choice.belt ?? axis.parts.belt,
    motor: choice.motor,
    brake: axis.parts.brake,
  },
})

/** A screw with each way to hold its ends that it can have. */
export function screwLevels(base: EvaluationContext, within: Within, part: PartOf['screw']): ScrewLevel[] {
  // What does not rest on how its ends are held is worked out once.
  let before = base
  return within.endsOf(part).flatMap(ends => {
    before = before.next({ ...withParts(base.wholeAxis, { screw: part.id }), ends })
    return screwLevel(before, within, part, ends) ?? []
  })
}

function screwLevel(
  t: EvaluationContext,
  within: Within,
  part: PartOf['screw'],
  ends: ScrewEnds,
): ScrewLevel | null {
  const axis = t.wholeAxis
  const alone = judgeAlone(t)
  if (!alone.feasible) return null
  const load = forces(t)
  const { forward, backward } = efficiency(t)
  const torque = (forceN: number) => driveTorqueNm(t, 'drive', forceN)
  const spanMm = t.dimension('supportSpanMm')
  const distanceMm = softestAtMm(t)
  const stiffnessNPerUm = screwAxialStiffness({
    rootDiameterMm: part.rootDiameterMm,
    supportedLengthMm: spanMm,
    distanceMm,
    axialSupport: axialSupport(t),
  }).stiffnessNPerUm
  const nutNPerUm =
    part.dynamicCapacityN === null
      ? part.ratedStiffnessNPerUm
      : nutStiffness({
          ratedStiffnessNPerUm: part.ratedStiffnessNPerUm,
          dynamicCapacityN: part.dynamicCapacityN,
          preloadN: part.preloadN,
          axialLoadN: Math.max(1, load.frictionN),
        }).stiffnessNPerUm
  const torsionNmPerRad = screwTorsionNmPerRad(part.rootDiameterMm, distanceMm)
  const twist = couplerWindup({ torqueNm: torque(1000), torsionalStiffnessNmPerRad: 1, leadMm: part.leadMm })
  return {
    margin: alone.margin,
    part,
    ends,
    priceEur: part.priceEur * axis.drive.screws,
    ...known(axis, within, part),
    forwardEfficiency: forward,
    backwardEfficiency: backward,
    acceleratingNm: torque(hardestN(t, 'accelerateUpN', 'accelerateDownN')),
    cuttingNm: torque(hardestN(t, 'cutUpN', 'cutDownN')),
    frictionNm: torque(load.frictionN),
    handNm: torque(Math.max(load.cruiseUpN, load.cruiseDownN)),
    preloadDragNm: preloadDragNm(t),
    topRpm: topSpeedRpm(t),
    cuttingRpm: cuttingSpeedRpm(t),
    // Torsion belongs to the screw: along it, a twist is a give like any other.
    screwUmPerN: 1 / stiffnessNPerUm + twist.linearUm / 1000 / torsionNmPerRad,
    nutUmPerN: 1 / nutNPerUm,
    linkUmNmPerNRad: twist.linearUm / 1000,
    inertiaPerMmKgM2:
      ((Math.PI * STEEL_DENSITY_KG_PER_M3) / 32 / 1000) * (part.nominalDiameterMm / 1000) ** 4,
    massPerMmKg:
      (Math.PI / 4) * part.nominalDiameterMm ** 2 * (STEEL_DENSITY_KG_PER_M3 / 1e9) * axis.drive.screws,
    strutN: strut(t).allowableLoadN,
    pullN: pullN(t),
    leadUm: leadAsItRuns(t).runsUm,
    leadLeftUm: leadAsItRuns(t).leftUm,
    growthUm: axialSupport(t) === 'both-ends' ? 0 : warmth(t).growthUm,
    duty: workPhases(t).map(({ loadN, timeShare, accelerationMmPerS2, rests }) => ({
      loadNm: loadTorqueNm(t, loadN),
      timeShare,
      accelerationMmPerS2,
      rests,
    })),
    mean: meanDuty(t),
  }
}

export function bearingLevel(
  base: EvaluationContext,
  within: Within,
  part: PartOf['bearing'],
): BearingLevel | null {
  const axis = base.wholeAxis
  const alone = judgeAlone(base.next(withParts(axis, { bearing: part.id })))
  if (!alone.feasible) return null
  return {
    margin: alone.margin,
    part,
    priceEur: part.priceEur * axis.drive.screws,
    ...known(axis, within, part),
    pairUmPerN: 1 / bearingPairStiffness(part).stiffnessNPerUm,
  }
}

export function couplerLevel(
  base: EvaluationContext,
  within: Within,
  part: PartOf['coupler'],
): LinkLevel | null {
  const axis = base.wholeAxis
  const alone = judgeAlone(
    base.next({
      ...withParts(axis, { coupler: part.id }),
      drive: { ...axis.drive, transmission: 'direct' },
    }),
  )
  if (!alone.feasible) return null
  return {
    margin: alone.margin,
    coupler: part,
    belt: null,
    priceEur: part.priceEur * axis.drive.screws,
    ...known(axis, within, part),
    ratio: 1,
    efficiency: 1,
    hubMm: part.lengthMm / 2,
    motorInertiaKgM2: 0,
    screwInertiaKgM2: part.inertiaKgM2,
    torsionalStiffnessNmPerRad: part.torsionalStiffnessNmPerRad,
    playUmPerLeadMm: (1000 * part.backlashDeg) / 360,
    leastBoreMm: part.smallestBoreMm,
    mostMotorBoreMm: part.largestBoreMm,
    mostScrewBoreMm: part.largestBoreMm,
  }
}

export function beltLevel(base: EvaluationContext, within: Within, part: PartOf['belt']): LinkLevel | null {
  const axis = base.wholeAxis
  const belted = base.next({
    ...withParts(axis, { belt: part.id }),
    drive: { ...axis.drive, transmission: 'belt' },
  })
  const alone = judgeAlone(belted)
  if (!alone.feasible) return null
  const { spanMm } = beltRun(belted)
  return {
    margin: alone.margin,
    coupler: null,
    belt: part,
    priceEur: part.priceEur * axis.drive.screws,
    ...known(axis, within, part),
    ratio: part.teethScrew / part.teethMotor,
    efficiency: part.efficiency,
    hubMm: part.widthMm + 4,
    motorInertiaKgM2: part.motorPulleyInertiaKgM2,
    screwInertiaKgM2: part.screwPulleyInertiaKgM2,
    torsionalStiffnessNmPerRad: beltStiffness({ ...part, spanMm }).torsionalStiffnessNmPerRad,
    playUmPerLeadMm: part.toothPlayUm / (part.pitchMm * part.teethScrew),
    leastBoreMm: part.smallestBoreMm,
    mostMotorBoreMm: part.largestBoreMm,
    mostScrewBoreMm: part.largestScrewBoreMm,
  }
}

export function motorLevel(
  base: EvaluationContext,
  within: Within,
  part: PartOf['motor'],
  place: number,
): MotorLevel | null {
  const axis = base.wholeAxis
  if (!judgeAlone(base.next(withParts(axis, { motor: part.id }))).feasible) return null
  const brake = base.catalogue.brake.get(axis.parts.brake ?? '')
  return {
    part,
    place,
    drivenNm: drivenTorqueNm(part),
    margin: Number.POSITIVE_INFINITY,
    priceEur: (part.priceEur + (brake?.priceEur ?? 0)) * axis.drive.screws,
    massKg: ((part.massKg ?? Number.NaN) + (brake ? (brake.massKg ?? Number.NaN) : 0)) * axis.drive.screws,
    days: within.daysOf(part),
  }
}

/** Pull and shaft load of a belt at the motor's greatest torque. */
export const beltPull = (belt: PartOf['belt'], greatestNm: number) =>
  beltTension.compute({
    torqueNm:
      belt.teethMotor <= belt.teethScrew ? greatestNm : greatestNm * (belt.teethScrew / belt.teethMotor),
    teethSmall: Math.min(belt.teethMotor, belt.teethScrew),
    pitchMm: belt.pitchMm,
    // Neither the pull nor the load on the shaft rests on the span.
    spanMm: 100,
    massPerLengthKgPerM: belt.massPerLengthKgPerM,
    tensionFactor: belt.tensionFactor,
  })
