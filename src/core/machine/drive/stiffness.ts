import { type EvaluationContext, remembered } from '../../evaluation/context'
import { axisStiffness, dynamicGive, lostMotion, naturalFrequency, unpoweredDrop } from '../sizing/axis'
import { bearingPairStiffness } from '../sizing/bearing'
import { couplerWindup } from '../sizing/coupler'
import { handwheelForce } from '../sizing/handwheel'
import { axialForces } from '../sizing/motion'
import { frictionLag, stepResolution } from '../sizing/motorSteps'
import { nutStiffness } from '../sizing/nut'
import { screwAxialStiffness, screwTorsionNmPerRad } from '../sizing/screw'
import { nutRange } from '../travel/placement'
import { chosenBrake } from './brake'
import { forces, type LoadEnd, loadEnds, loadShare, massKg, worstForces } from './load'
import { drivenTorqueNm, motorAsSet } from './motorTorque'
import { dragNm, driveTorqueNm, efficiency, preloadN } from './torque'
import { beltEfficiency, beltPlayUm, isBelted, nutTurns, ratio, windUp } from './transmission'

/** Any force serves to turn a torsional stiffness into one along the screw. */
const PROBE_N = 1000

export const axialSupport = (t: EvaluationContext) =>
  t.axis.ends === 'fixed-fixed' ? 'both-ends' : 'one-end'

/** Stiffness of what is alike all along the travel: nut, bearings, coupler or belt. */
const fixedParts = remembered((t: EvaluationContext) => {
  const screw = t.part('screw')
  const bearing = t.part('bearing')
  const nutNPerUm =
    screw.dynamicCapacityN === null
      ? screw.ratedStiffnessNPerUm
      : t.figure('nutStiffness', nutStiffness, {
          ratedStiffnessNPerUm: screw.ratedStiffnessNPerUm,
          dynamicCapacityN: screw.dynamicCapacityN,
          preloadN: preloadN(t),
          axialLoadN: Math.max(1, forces(t).frictionN),
        }).stiffnessNPerUm
  const { ballCount, ballDiameterMm, contactAngleDeg } = bearing
  const pairNPerUm = t.figure('bearingStiffness', bearingPairStiffness, {
    ballCount,
    ballDiameterMm,
    contactAngleDeg,
    preloadN: bearing.preloadN,
  }).stiffnessNPerUm
  const twist = windUp(t, driveTorqueNm(t, 'probeTorque', PROBE_N))
  return {
    nut: nutNPerUm,
    // A set at each end; where the nut turns there is the one that it runs in.
    bearing: axialSupport(t) === 'both-ends' && !nutTurns(t) ? 2 * pairNPerUm : pairNPerUm,
    coupler: PROBE_N / twist.linearUm,
  }
})

/** Twist of the screw between its driven end and the nut, as stiffness along the screw. */
function torsionNPerUm(t: EvaluationContext, name: string, distanceMm: number): number {
  const { leadMm, rootDiameterMm } = t.part('screw')
  const twist = t.figure(name, couplerWindup, {
    torqueNm: driveTorqueNm(t, 'probeTorque', PROBE_N),
    torsionalStiffnessNmPerRad: screwTorsionNmPerRad(rootDiameterMm, distanceMm),
    leadMm,
  })
  return PROBE_N / twist.linearUm
}

/** A recess deeper than the nut lets its flange stand behind the face of the block; some screw is always between. */
const someScrewMm = (distanceMm: number) => Math.max(distanceMm, 1)

/**
 * Where the screw is softest, from the fixed block: held at both ends in the middle, else as far from the fixed end as the
 * nut goes.
 */
export function softestAtMm(t: EvaluationContext): number {
  const spanMm = t.dimension('supportSpanMm')
  const { firstMm, lastMm } = nutRange(t)
  return axialSupport(t) === 'both-ends'
    ? Math.max(spanMm / 2, firstMm)
    : Math.min(someScrewMm(lastMm), spanMm)
}

/** Stiffness of the whole drive where it is softest. */
export const driveStiffness = remembered((t: EvaluationContext) => {
  const spanMm = t.dimension('supportSpanMm')
  const distanceMm = softestAtMm(t)
  const screwNPerUm = t.figure('screwStiffness', screwAxialStiffness, {
    rootDiameterMm: t.part('screw').rootDiameterMm,
    supportedLengthMm: spanMm,
    distanceMm,
    axialSupport: axialSupport(t),
  }).stiffnessNPerUm
  const parts = {
    screw: screwNPerUm,
    torsion: torsionNPerUm(t, 'screwTorsion', distanceMm),
    ...fixedParts(t),
  }
  const { stiffnessNPerUm } = t.figure('driveStiffness', axisStiffness, { parts: Object.values(parts) })
  return { parts, stiffnessNPerUm }
})

/** How fast the axis swings on its drive where that is softest. */
export const swing = remembered((t: EvaluationContext) =>
  t.figure('naturalFrequency', naturalFrequency, {
    stiffnessNPerUm: driveStiffness(t).stiffnessNPerUm,
    massKg: massKg(t),
  }),
)

/** What the slide hangs behind while it speeds up as hard as is wanted, where its drive is softest. */
export const hangsBehind = remembered((t: EvaluationContext) =>
  t.figure('dynamicGive', dynamicGive, {
    accelerationMmPerS2: t.axis.goals.accelerationMmPerS2,
    frequencyHz: swing(t).frequencyHz,
  }),
)

/** One point of the chart of stiffness over the travel. */
export interface StiffnessPoint {
  positionMm: number
  stiffnessNPerUm: number
  frequencyHz: number
}

/** Stiffness and natural frequency over the travel, from the end of the travel nearest the fixed block. */
export function stiffnessOverTravel(t: EvaluationContext): StiffnessPoint[] {
  const { firstMm, lastMm } = nutRange(t)
  const spanMm = t.dimension('supportSpanMm')
  const { nut, bearing, coupler } = fixedParts(t)
  const mass = massKg(t)
  return Array.from({ length: 25 }, (_, i) => {
    const positionMm = ((lastMm - firstMm) * i) / 24
    const distanceMm = Math.min(someScrewMm(firstMm + positionMm), spanMm - 1)
    const screw = screwAxialStiffness({
      rootDiameterMm: t.part('screw').rootDiameterMm,
      supportedLengthMm: spanMm,
      distanceMm,
      axialSupport: axialSupport(t),
    }).stiffnessNPerUm
    const torsion = torsionNPerUm(t, 'screwTorsionThere', distanceMm)
    const { stiffnessNPerUm } = axisStiffness({ parts: [screw, torsion, nut, bearing, coupler] })
    return { positionMm, stiffnessNPerUm, ...naturalFrequency({ stiffnessNPerUm, massKg: mass }) }
  })
}

/** Torque at the screw that moves the axis slowly without any cut. */
const frictionTorqueNm = (t: EvaluationContext) =>
  driveTorqueNm(t, 'frictionTorque', forces(t).frictionN) + dragNm(t)

const motorReversalUm = (t: EvaluationContext) => {
  const motor = motorAsSet(t)
  if (motor.loop === 'closed') return 0
  return t.figure('frictionLag', frictionLag, {
    frictionTorqueNm: frictionTorqueNm(t) / (ratio(t) * beltEfficiency(t)),
    holdingTorqueNm: drivenTorqueNm(motor),
    fullStepsPerRev: motor.fullStepsPerRev,
    leadMm: t.part('screw').leadMm,
    ratio: ratio(t),
  }).reversalUm
}

/** A part of the lost motion, and the part of the drive that it comes from. */
export interface LostMotionCause {
  subject: 'nut' | 'bearing' | 'coupler' | 'belt' | 'screw' | 'motor'
  label: string
  um: number
}

/**
 * The lift that turns the load of an inclined axis round, where its weight is more than its friction: up to that the nut
 * and the bearings stay on one flank. Null on any other axis.
 */
export const turnsRoundN = remembered((t: EvaluationContext): number | null => {
  if (t.dimension('inclineDeg') === 0) return null
  const { ends } = worstForces(t)
  // What the lightest weighs closes least; while nobody has measured that, nothing is closed by weight.
  const { value: lightestKg } = t.axis.dimensions.lightestMassKg
  if (lightestKg === null) return null
  const lightest = axialForces.compute({
    massKg: t.dimension('lightestMassKg') * loadShare(t),
    inclineDeg: t.dimension('inclineDeg'),
    frictionCoefficient: t.dimension('frictionCoefficient'),
    dragN: t.dimension('dragN') * loadShare(t),
    counterbalanceN: t.dimension('counterbalanceN') * loadShare(t),
    cuttingForceN: 0,
    accelerationMPerS2: 0,
  })
  const all = [...ends, lightest]
  // Pushed down at one end of the range and up at the other, it changes flanks.
  if (all.some(({ holdN }) => Math.sign(holdN) !== Math.sign(lightest.holdN))) return null
  const liftN = Math.min(...all.map(({ holdN, frictionN }) => Math.abs(holdN) - frictionN))
  return liftN > 0 ? liftN : null
})

/** Whether weight keeps the nut and the bearings on one flank also while cutting. */
export const onOneFlank = (t: EvaluationContext): boolean => {
  const liftN = turnsRoundN(t)
  return liftN !== null && t.axis.goals.cuttingForceN * loadShare(t) <= liftN
}

/** Lost motion in all and by cause, largest first. */
export const lostMotionBudget = remembered((t: EvaluationContext) => {
  const { leadMm, nutPlayUm } = t.part('screw')
  const { axialPlayUm } = t.part('bearing')
  const plays = {
    nutPlayUm: preloadN(t) > 0 || onOneFlank(t) ? 0 : nutPlayUm,
    bearingPlayUm: onOneFlank(t) ? 0 : axialPlayUm,
    beltPlayUm: beltPlayUm(t),
    motorReversalUm: motorReversalUm(t),
  }
  const budget = t.figure('lostMotion', lostMotion, {
    ...plays,
    couplerBacklashDeg: isBelted(t) ? 0 : t.part('coupler').backlashDeg,
    leadMm,
    frictionN: forces(t).frictionN,
    stiffnessNPerUm: driveStiffness(t).stiffnessNPerUm,
  })
  const link = isBelted(t)
    ? { subject: 'belt' as const, label: 'Play of the belt', um: plays.beltPlayUm }
    : { subject: 'coupler' as const, label: 'Backlash of the coupler', um: budget.couplerUm }
  const causes: LostMotionCause[] = [
    { subject: 'nut', label: 'Play of the nut', um: plays.nutPlayUm },
    { subject: 'bearing', label: 'Play of the bearings', um: plays.bearingPlayUm },
    link,
    { subject: 'screw', label: 'Twist and give under friction', um: budget.elasticUm },
    { subject: 'motor', label: 'Lag of the motor', um: plays.motorReversalUm },
  ]
  return { totalUm: budget.totalUm, causes: causes.toSorted((a, b) => b.um - a.um) }
})

/** What holds an axis without power, at the end of its range of load at which that is least. */
export const powerLoss = remembered((t: EvaluationContext) => {
  const inputsAt = ({ massKg: kg, counterbalanceN }: LoadEnd) => ({
    massKg: kg,
    inclineDeg: t.dimension('inclineDeg'),
    counterbalanceN,
    leadMm: t.part('screw').leadMm,
    backwardEfficiency: efficiency(t).backward,
    ratio: ratio(t),
    detentTorqueNm: t.part('motor').detentTorqueNm,
    dragTorqueNm: dragNm(t),
    brakeTorqueNm: chosenBrake(t)?.holdingTorqueNm ?? 0,
  })
  const ends = loadEnds(t).map(end => ({ end, ...unpoweredDrop.compute(inputsAt(end)) }))
  const least = ends.reduce((a, b) => ((b.reserve ?? Infinity) < (a.reserve ?? Infinity) ? b : a))
  return {
    ...t.figure('unpoweredDrop', unpoweredDrop, inputsAt(least.end)),
    end: ends.length > 1 ? least.end : null,
  }
})

/** What the hand feels at a handwheel that is kept, moving the axis the harder way without a cut. */
export const handDrive = remembered((t: EvaluationContext) =>
  t.figure('handwheel', handwheelForce, {
    screwTorqueNm:
      driveTorqueNm(t, 'handTorque', Math.max(forces(t).cruiseUpN, forces(t).cruiseDownN)) + dragNm(t),
    motorDragNm: t.part('motor').detentTorqueNm,
    ratio: ratio(t),
    radiusMm: t.axis.driveSizes.handwheelRadiusMm,
  }),
)

/** What a step of the motor moves. */
export const steps = remembered((t: EvaluationContext) =>
  t.figure('stepResolution', stepResolution, {
    leadMm: t.part('screw').leadMm,
    fullStepsPerRev: t.part('motor').fullStepsPerRev,
    microsteps: t.axis.drive.microsteps,
    ratio: ratio(t),
    holdingTorqueNm: drivenTorqueNm(motorAsSet(t)),
  }),
)

/** A full step of an open loop: under load a stepper rests anywhere within it. 0 for a motor that reads its place. */
export const drivenStepUm = (t: EvaluationContext): number =>
  t.part('motor').loop === 'closed' ? 0 : steps(t).fullStepUm
