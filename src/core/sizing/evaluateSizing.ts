import { freeLengthMm, nutRange, travel } from '../room/placement'
import type { Trace } from '../verdicts/trace'
import { axisStiffness, lostMotion, unpoweredDrop } from './axis'
import { bearingPairStiffness } from './bearing'
import { screwSpeed, torqueMarginOf } from './checkSums'
import { couplerWindup } from './coupler'
import { reflectedInertia, requiredTorque } from './drive'
import { axialForces, trapezoid } from './motion'
import { stepperTorque, tableTorque } from './motor'
import { frictionLag } from './motorSteps'
import { nutStiffness } from './nut'
import { buckling, criticalSpeed, screwAxialStiffness } from './screw'
import { type DutyPhase, meanLoad, preloadedLife, screwLife } from './screwLife'
import { driveTorque, preloadTorque, screwEfficiency } from './screwTorque'

/** Direct drive: one turn of the motor is one turn of the screw. */
const RATIO = 1
/** Smooth running with light shocks, as on a small machine tool. */
const LOAD_FACTOR = 1.2
/** Any force serves to turn a torsional stiffness into one along the screw. */
const PROBE_N = 1000

export const topSpeedRpm = (t: Trace) =>
  t.once(
    'topSpeed',
    () =>
      t.figure('topSpeed', screwSpeed, {
        speedMmPerMin: t.axis.goals.topSpeedMmPerMin,
        leadMm: t.part('screw').leadMm,
      }).speedRpm,
  )
const cuttingSpeedRpm = (t: Trace) => t.axis.goals.cuttingFeedMmPerMin / t.part('screw').leadMm
export const preloadN = (t: Trace) => {
  const asDelivered = t.part('screw').preloadN
  return asDelivered > 0 ? (t.axis.preloadN ?? asDelivered) : 0
}

export const forces = (t: Trace) =>
  t.once('forces', () =>
    t.figure('forces', axialForces, {
      massKg: t.dimension('movingMassKg'),
      inclineDeg: t.dimension('inclineDeg'),
      frictionCoefficient: t.dimension('frictionCoefficient'),
      dragN: t.dimension('dragN'),
      counterbalanceN: t.dimension('counterbalanceN'),
      cuttingForceN: t.axis.goals.cuttingForceN,
      accelerationMPerS2: t.axis.goals.accelerationMmPerS2 / 1000,
    }),
  )

export const efficiency = (t: Trace) =>
  t.once('efficiency', () => {
    const { leadMm, pitchDiameterMm, frictionCoefficient, flankAngleDeg } = t.part('screw')
    return t.figure('efficiency', screwEfficiency, {
      leadMm,
      pitchDiameterMm,
      frictionCoefficient,
      flankAngleDeg,
    })
  })

const preloadDragNm = (t: Trace) =>
  t.once('preloadDrag', () => {
    const { leadMm, pitchDiameterMm } = t.part('screw')
    const preload = preloadN(t)
    return preload > 0
      ? t.figure('preloadDrag', preloadTorque, { preloadN: preload, leadMm, pitchDiameterMm }).torqueNm
      : 0
  })

const driveTorqueNm = (t: Trace, name: string, axialForceN: number) =>
  t.figure(name, driveTorque, {
    axialForceN: Math.max(0, axialForceN),
    leadMm: t.part('screw').leadMm,
    efficiency: efficiency(t).forward,
  }).torqueNm

/** Length of the whole screw: through the fixed block and half the coupler, to the end of the far block. */
export const screwLengthMm = (t: Trace) =>
  t.dimension('supportSpanMm') + 1.5 * t.part('bearing').blockLengthMm + t.part('coupler').lengthMm / 2

const required = (t: Trace, name: string, axialForceN: number, accelerationMmPerS2: number) =>
  t.once(name, () => {
    const { leadMm, nominalDiameterMm } = t.part('screw')
    const turning = t.figure('turningInertia', reflectedInertia, {
      massKg: 0,
      leadMm,
      screwDiameterMm: nominalDiameterMm,
      screwLengthMm: screwLengthMm(t),
      couplerInertiaKgM2: t.part('coupler').inertiaKgM2,
      ratio: RATIO,
    })
    return t.figure(name, requiredTorque, {
      driveTorqueNm: driveTorqueNm(t, `${name}Drive`, axialForceN),
      preloadDragNm: preloadDragNm(t),
      bearingDragNm: t.part('bearing').dragTorqueNm,
      ratio: RATIO,
      beltEfficiency: 1,
      inertiaKgM2: turning.reflectedInertiaKgM2 + t.part('motor').rotorInertiaKgM2,
      angularAccelerationRadPerS2: (accelerationMmPerS2 * 2 * Math.PI) / leadMm,
    }).torqueNm
  })

/** Motor torque asked for while speeding up, in the harder direction. The mass acts by its force. */
export const acceleratingTorqueNm = (t: Trace) =>
  required(
    t,
    'accelerating',
    Math.max(forces(t).accelerateUpN, forces(t).accelerateDownN),
    t.axis.goals.accelerationMmPerS2,
  )

/** Motor torque asked for while cutting, in the harder direction. */
export const cuttingTorqueNm = (t: Trace) =>
  required(t, 'cutting', Math.max(forces(t).cutUpN, forces(t).cutDownN), 0)

/** Motor torque at a speed, from the maker's curve or the model of its windings. */
export function availableTorqueNm(t: Trace, speedRpm: number, name?: string): number {
  const motor = t.part('motor')
  if (motor.curve) {
    const inputs = { curve: motor.curve, speedRpm }
    return (name ? t.figure(name, tableTorque, inputs) : tableTorque.compute(inputs)).torqueNm
  }
  const { holdingTorqueNm, ratedCurrentA, driveCurrentA, inductanceMh, supplyV, fullStepsPerRev } = motor
  const inputs = {
    holdingTorqueNm,
    ratedCurrentA,
    driveCurrentA,
    inductanceMh,
    supplyV,
    fullStepsPerRev,
    speedRpm,
  }
  return (name ? t.figure(name, stepperTorque, inputs) : stepperTorque.compute(inputs)).torqueNm
}

/** The worst ratio of available to required torque over the move, and where it is. */
export const torqueMargin = (t: Trace) =>
  t.once('torqueMargin', () => {
    const top = topSpeedRpm(t)
    // Between these speeds the available torque is straight or falls, so the worst is at one of them.
    const corners = (t.part('motor').curve ?? []).map(point => point.speedRpm).filter(rpm => rpm < top)
    const accelerating = acceleratingTorqueNm(t)
    const cases = [
      ...[...corners, top].map(speedRpm => ({
        phase: 'speeding up' as const,
        speedRpm,
        requiredNm: accelerating,
      })),
      { phase: 'cutting' as const, speedRpm: cuttingSpeedRpm(t), requiredNm: cuttingTorqueNm(t) },
    ].map(one => ({ ...one, availableNm: availableTorqueNm(t, one.speedRpm) }))
    const worst = cases.reduce((a, b) =>
      b.availableNm / b.requiredNm < a.availableNm / a.requiredNm ? b : a,
    )
    availableTorqueNm(t, worst.speedRpm, 'available')
    const { margin } = t.figure('torqueMargin', torqueMarginOf, {
      availableTorqueNm: worst.availableNm,
      requiredTorqueNm: worst.requiredNm,
    })
    return { ...worst, margin }
  })

export const whip = (t: Trace) =>
  t.once('whip', () =>
    t.figure('criticalSpeed', criticalSpeed, {
      rootDiameterMm: t.part('screw').rootDiameterMm,
      freeLengthMm: freeLengthMm(t),
      ends: t.axis.ends,
    }),
  )

export const strut = (t: Trace) =>
  t.once('strut', () =>
    t.figure('buckling', buckling, {
      rootDiameterMm: t.part('screw').rootDiameterMm,
      freeLengthMm: freeLengthMm(t),
      ends: t.axis.ends,
    }),
  )

/** Phases of a working day: cutting both ways, and rapid moves over the travel both ways. */
function duty(t: Trace): DutyPhase[] {
  const { topSpeedMmPerMin, accelerationMmPerS2, cuttingShare } = t.axis.goals
  const move = t.figure('rapidMove', trapezoid, {
    distanceMm: Math.max(1, travel(t).travelMm),
    speedMmPerS: topSpeedMmPerMin / 60,
    accelerationMmPerS2,
  })
  const load = forces(t)
  const peakRpm = (move.peakSpeedMmPerS * 60) / t.part('screw').leadMm
  const rapidShare = 1 - cuttingShare
  const rampShare = (rapidShare * move.accelerateS) / move.totalS
  const both = (upN: number, downN: number, speedRpm: number, timeShare: number): DutyPhase[] => [
    { forceN: upN, speedRpm, timeShare: timeShare / 2 },
    { forceN: -downN, speedRpm, timeShare: timeShare / 2 },
  ]
  return [
    ...both(load.cutUpN, load.cutDownN, cuttingSpeedRpm(t), cuttingShare),
    ...both(load.accelerateUpN, load.accelerateDownN, peakRpm / 2, rampShare),
    ...both(load.cruiseUpN, load.cruiseDownN, peakRpm, (rapidShare * move.cruiseS) / move.totalS),
    ...both(load.decelerateUpN, load.decelerateDownN, peakRpm / 2, rampShare),
  ]
}

/** Life of a rolling nut in hours; null for a sliding one. */
export const nutLifeHours = (t: Trace) =>
  t.once('life', () => {
    const { dynamicCapacityN, leadMm } = t.part('screw')
    if (dynamicCapacityN === null) return null
    const phases = duty(t)
    const preload = preloadN(t)
    if (preload > 0)
      return t.figure('life', preloadedLife, { dynamicCapacityN, preloadN: preload, phases, leadMm })
        .lifeHours
    const mean = t.figure('meanLoad', meanLoad, { phases })
    return t.figure('life', screwLife, { dynamicCapacityN, ...mean, leadMm, loadFactor: LOAD_FACTOR })
      .lifeHours
  })

/** Stiffness of the whole drive where it is softest. */
export const driveStiffness = (t: Trace) =>
  t.once('stiffness', () => {
    const screw = t.part('screw')
    const bearing = t.part('bearing')
    const bothEnds = t.axis.ends === 'fixed-fixed'
    const spanMm = t.dimension('supportSpanMm')
    const { firstMm, lastMm } = nutRange(t)
    // Held at both ends a screw is softest in the middle, else as far from the fixed end as the nut goes.
    const distanceMm = bothEnds ? Math.max(spanMm / 2, firstMm) : Math.min(lastMm, spanMm)
    const screwNPerUm = t.figure('screwStiffness', screwAxialStiffness, {
      rootDiameterMm: screw.rootDiameterMm,
      supportedLengthMm: spanMm,
      distanceMm,
      axialSupport: bothEnds ? 'both-ends' : 'one-end',
    }).stiffnessNPerUm
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
    const windup = t.figure('couplerWindup', couplerWindup, {
      torqueNm: driveTorqueNm(t, 'probeTorque', PROBE_N),
      torsionalStiffnessNmPerRad: t.part('coupler').torsionalStiffnessNmPerRad,
      leadMm: screw.leadMm,
    })
    const parts = {
      screw: screwNPerUm,
      nut: nutNPerUm,
      bearing: bothEnds ? 2 * pairNPerUm : pairNPerUm,
      coupler: PROBE_N / windup.linearUm,
    }
    const { stiffnessNPerUm } = t.figure('driveStiffness', axisStiffness, { parts: Object.values(parts) })
    return { parts, stiffnessNPerUm }
  })

/** Lost motion in all and by cause, largest first. */
export const lostMotionBudget = (t: Trace) =>
  t.once('lostMotion', () => {
    const { leadMm, nutPlayUm } = t.part('screw')
    const { axialPlayUm } = t.part('bearing')
    const motor = t.part('motor')
    const { frictionN } = forces(t)
    const frictionTorqueNm =
      driveTorqueNm(t, 'frictionTorque', frictionN) + preloadDragNm(t) + t.part('bearing').dragTorqueNm
    const motorReversalUm =
      motor.loop === 'closed'
        ? 0
        : t.figure('frictionLag', frictionLag, {
            frictionTorqueNm,
            holdingTorqueNm: motor.holdingTorqueNm,
            fullStepsPerRev: motor.fullStepsPerRev,
            leadMm,
            ratio: RATIO,
          }).reversalUm
    const budget = t.figure('lostMotion', lostMotion, {
      nutPlayUm: preloadN(t) > 0 ? 0 : nutPlayUm,
      bearingPlayUm: axialPlayUm,
      couplerBacklashDeg: t.part('coupler').backlashDeg,
      beltPlayUm: 0,
      leadMm,
      frictionN,
      stiffnessNPerUm: driveStiffness(t).stiffnessNPerUm,
      motorReversalUm,
    })
    const causes = [
      { subject: 'nut' as const, label: 'Play of the nut', um: preloadN(t) > 0 ? 0 : nutPlayUm },
      { subject: 'bearing' as const, label: 'Play of the bearings', um: axialPlayUm },
      { subject: 'coupler' as const, label: 'Backlash of the coupler', um: budget.couplerUm },
      { subject: 'screw' as const, label: 'Wind-up under friction', um: budget.elasticUm },
      { subject: 'motor' as const, label: 'Lag of the motor', um: motorReversalUm },
    ].toSorted((a, b) => b.um - a.um)
    return { totalUm: budget.totalUm, causes }
  })

export const powerLoss = (t: Trace) =>
  t.once('powerLoss', () =>
    t.figure('unpoweredDrop', unpoweredDrop, {
      massKg: t.dimension('movingMassKg'),
      inclineDeg: t.dimension('inclineDeg'),
      counterbalanceN: t.dimension('counterbalanceN'),
      frictionN: forces(t).frictionN,
      leadMm: t.part('screw').leadMm,
      backwardEfficiency: efficiency(t).backward,
      ratio: RATIO,
      detentTorqueNm: t.part('motor').detentTorqueNm,
      dragTorqueNm: preloadDragNm(t) + t.part('bearing').dragTorqueNm,
    }),
  )

/** One point of the torque chart; a phase is null beyond the speeds that it uses. */
export interface TorquePoint {
  speedRpm: number
  availableNm: number
  acceleratingNm: number | null
  cuttingNm: number | null
  marginNm: number | null
}

/**
 * Torque over speed, for the chart: from standstill to a third above the top speed.
 *
 * @throws NotKnown while a part or a dimension is missing
 */
export function torqueCurve(t: Trace, wantedMargin: number): TorquePoint[] {
  const top = topSpeedRpm(t)
  const cutting = cuttingSpeedRpm(t)
  const cornersRpm = (t.part('motor').curve ?? []).map(point => point.speedRpm)
  const endRpm = top * 1.35
  // A hair beyond the cutting speed the cutting ends, so that the curve steps there and does not slope.
  const ends = [cutting, cutting + endRpm * 1e-4, top]
  const speeds = [...Array.from({ length: 28 }, (_, i) => (endRpm * i) / 27), ...cornersRpm, ...ends]
  return [...new Set(speeds)]
    .filter(rpm => rpm <= endRpm)
    .toSorted((a, b) => a - b)
    .map(speedRpm => {
      const acceleratingNm = speedRpm <= top ? acceleratingTorqueNm(t) : null
      const cuttingNm = speedRpm <= cutting ? cuttingTorqueNm(t) : null
      const most = acceleratingNm === null ? null : Math.max(acceleratingNm, cuttingNm ?? 0)
      return {
        speedRpm,
        availableNm: availableTorqueNm(t, speedRpm),
        acceleratingNm,
        cuttingNm,
        marginNm: most === null ? null : most * wantedMargin,
      }
    })
}
