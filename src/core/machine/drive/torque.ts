import type { DutyRow } from '../../document/axis'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { inertiaRatio, torqueMarginOf } from '../sizing/checkSums'
import { reflectedInertia, requiredTorque } from '../sizing/drive'
import { rmsTorque, stepperTorque, tableTorque } from '../sizing/motor'
import { nutInertia } from '../sizing/nut'
import { driveTorque, preloadTorque, screwEfficiency } from '../sizing/screwTorque'
import { strokeTorque } from '../sizing/stroke'
import { chosenBrake } from './brake'
import { strokeOf, type WorkPhase, workPhases } from './duty'
import { cuttingSpeedRpm, hardestN, massKg, topSpeedRpm } from './load'
import { motorAsSet } from './motorTorque'
import { beltEfficiency, hubLengthMm, isBelted, nutTurns, ratio } from './transmission'

export const preloadN = (t: EvaluationContext) => {
  const asDelivered = t.part('screw').preloadN
  return asDelivered > 0 ? (t.axis.preloadN ?? asDelivered) : 0
}

export const efficiency = remembered((t: EvaluationContext) => {
  const { leadMm, pitchDiameterMm, frictionCoefficient, flankAngleDeg } = t.part('screw')
  return t.figure('efficiency', screwEfficiency, {
    leadMm,
    pitchDiameterMm,
    frictionCoefficient,
    flankAngleDeg,
  })
})

export const preloadDragNm = remembered((t: EvaluationContext) => {
  const { leadMm, pitchDiameterMm } = t.part('screw')
  const preload = preloadN(t)
  return preload > 0
    ? t.figure('preloadDrag', preloadTorque, { preloadN: preload, leadMm, pitchDiameterMm }).torqueNm
    : 0
})

/** What preload, bearings and seals ask at the screw, whatever the load. */
export const dragNm = (t: EvaluationContext) => preloadDragNm(t) + t.part('bearing').dragTorqueNm

export const driveTorqueNm = (t: EvaluationContext, name: string, axialForceN: number) =>
  t.figure(name, driveTorque, {
    axialForceN: Math.max(0, axialForceN),
    leadMm: t.part('screw').leadMm,
    efficiency: efficiency(t).forward,
  }).torqueNm

/** Length of the whole screw: through the fixed block and into the hub, to the end of the far block. */
export const screwLengthMm = (t: EvaluationContext) =>
  t.dimension('supportSpanMm') + 1.5 * t.part('bearing').blockLengthMm + hubLengthMm(t)

/** What turns with the pulley besides it: the nut where that turns, and then not the screw. */
const nutInertiaKgM2 = (t: EvaluationContext): number => {
  const screw = t.part('screw')
  return t.figure('nutInertia', nutInertia, {
    boreMm: screw.nominalDiameterMm,
    bodyDiameterMm: screw.nutBodyDiameterMm,
    bodyLengthMm: screw.nutBodyLengthMm,
    flangeDiameterMm: screw.nutFlangeDiameterMm,
    flangeThicknessMm: screw.nutFlangeThicknessMm,
  }).inertiaKgM2
}

const inertia = (t: EvaluationContext, name: string, mass: number) => {
  const { leadMm, nominalDiameterMm } = t.part('screw')
  const belt = isBelted(t) ? t.part('belt') : null
  const turning = nutTurns(t)
  return t.figure(name, reflectedInertia, {
    massKg: mass,
    leadMm,
    screwDiameterMm: nominalDiameterMm,
    screwLengthMm: turning ? 0 : screwLengthMm(t),
    couplerInertiaKgM2: belt ? 0 : t.part('coupler').inertiaKgM2,
    ratio: ratio(t),
    motorPulleyInertiaKgM2: (belt?.motorPulleyInertiaKgM2 ?? 0) + (chosenBrake(t)?.inertiaKgM2 ?? 0),
    screwPulleyInertiaKgM2: (belt?.screwPulleyInertiaKgM2 ?? 0) + (turning ? nutInertiaKgM2(t) : 0),
  }).reflectedInertiaKgM2
}

/** Inertia of the whole load against that of the rotor. */
export const inertiaMatch = remembered((t: EvaluationContext) =>
  t.figure('inertiaRatio', inertiaRatio, {
    loadInertiaKgM2: inertia(t, 'loadInertia', massKg(t)),
    rotorInertiaKgM2: t.part('motor').rotorInertiaKgM2,
  }),
)

const required = (t: EvaluationContext, name: string, axialForceN: number, accelerationMmPerS2: number) =>
  t.figure(name, requiredTorque, {
    driveTorqueNm: driveTorqueNm(t, `${name}Drive`, axialForceN),
    preloadDragNm: preloadDragNm(t),
    bearingDragNm: t.part('bearing').dragTorqueNm,
    ratio: ratio(t),
    beltEfficiency: beltEfficiency(t),
    // The mass of the table acts by its force; only what turns is here.
    inertiaKgM2: inertia(t, 'turningInertia', 0) + t.part('motor').rotorInertiaKgM2,
    angularAccelerationRadPerS2: (accelerationMmPerS2 * 2 * Math.PI * ratio(t)) / t.part('screw').leadMm,
  }).torqueNm

/** Motor torque asked for while speeding up, in the harder direction. The mass acts by its force. */
export const acceleratingTorqueNm = remembered((t: EvaluationContext) =>
  required(
    t,
    'accelerating',
    hardestN(t, 'accelerateUpN', 'accelerateDownN'),
    t.axis.goals.accelerationMmPerS2,
  ),
)

/** Motor torque asked for while cutting, in the harder direction. */
export const cuttingTorqueNm = remembered((t: EvaluationContext) =>
  required(t, 'cutting', hardestN(t, 'cutUpN', 'cutDownN'), 0),
)

/** Motor torque at a speed of the motor, from the maker's curve or the model of its windings. */
export function availableTorqueNm(t: EvaluationContext, speedRpm: number, name?: string): number {
  const motor = motorAsSet(t)
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

/** The worst ratio of available to required torque over the move, and where it is, in motor speed. */
export const torqueMargin = remembered((t: EvaluationContext) => {
  const top = topSpeedRpm(t) * ratio(t)
  // Between these speeds the available torque is straight or falls, so the worst is at one of them.
  const corners = (t.part('motor').curve ?? []).map(point => point.speedRpm).filter(rpm => rpm < top)
  const accelerating = acceleratingTorqueNm(t)
  const cases = [
    ...[...corners, top].map(speedRpm => ({
      phase: 'speeding up' as const,
      speedRpm,
      requiredNm: accelerating,
    })),
    {
      phase: 'cutting' as const,
      speedRpm: cuttingSpeedRpm(t) * ratio(t),
      requiredNm: cuttingTorqueNm(t),
    },
  ].map(one => ({ ...one, availableNm: availableTorqueNm(t, one.speedRpm) }))
  const worst = cases.reduce((a, b) => (b.availableNm / b.requiredNm < a.availableNm / a.requiredNm ? b : a))
  availableTorqueNm(t, worst.speedRpm, 'available')
  const { margin } = t.figure('torqueMargin', torqueMarginOf, {
    availableTorqueNm: worst.availableNm,
    requiredTorqueNm: worst.requiredNm,
  })
  return { ...worst, margin }
})

/** One point of the torque chart; a phase is null beyond the speeds that it uses. */
export interface TorquePoint {
  speedRpm: number
  availableNm: number
  acceleratingNm: number | null
  cuttingNm: number | null
  marginNm: number | null
}

/**
 * Torque over motor speed, for the chart: from standstill to a third above the top speed.
 *
 * @throws NotKnown while a part or a dimension is missing
 */
export function torqueCurve(t: EvaluationContext, wantedMargin: number): TorquePoint[] {
  const top = topSpeedRpm(t) * ratio(t)
  const cutting = cuttingSpeedRpm(t) * ratio(t)
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

/**
 * Torque at the screw that a load asks for along its way: below 0 the load drives the screw, and what friction in the
 * thread leaves of that comes back.
 */
export const loadTorqueNm = (t: EvaluationContext, loadN: number): number => {
  const { forward, backward } = efficiency(t)
  const leadM = t.part('screw').leadMm / (2000 * Math.PI)
  return loadN >= 0 ? (loadN * leadM) / forward : loadN * leadM * backward
}

/** What a load along its way asks of the motor, with what turns and what drags. */
const phaseTorqueNm = (
  t: EvaluationContext,
  { loadN, accelerationMmPerS2, rests }: Pick<WorkPhase, 'loadN' | 'accelerationMmPerS2' | 'rests'>,
): number => {
  const atMotor = ratio(t) * beltEfficiency(t)
  const turningKgM2 = inertia(t, 'turningInertia', 0) + t.part('motor').rotorInertiaKgM2
  const radPerMm = (2 * Math.PI * ratio(t)) / t.part('screw').leadMm
  return (
    (loadTorqueNm(t, loadN) + (rests ? 0 : dragNm(t))) / atMotor +
    turningKgM2 * radPerMm * accelerationMmPerS2
  )
}

/** Torque of the motor over a typical hour, as what warms it. */
export const dutyTorqueNm = remembered(
  (t: EvaluationContext): number =>
    t.figure('dutyTorque', rmsTorque, {
      phases: workPhases(t).map(phase => ({
        torqueNm: phaseTorqueNm(t, phase),
        timeShare: phase.timeShare,
      })),
    }).rmsTorqueNm,
)

/**
 * A row of the duty that goes to and fro, with what its strokes ask of the motor up or out; null for any other row.
 *
 * @throws NotKnown while a part or a dimension is missing
 */
export function strokeWork(t: EvaluationContext, row: DutyRow) {
  const stroke = strokeOf(t, row)
  if (!stroke) return null
  const { strokeMm, speedMmPerS, accelerationMmPerS2, dwellS, upN, massN } = stroke
  const torqueNm = (sign: -1 | 0 | 1) =>
    phaseTorqueNm(t, {
      loadN: upN + sign * massN,
      accelerationMmPerS2: sign * accelerationMmPerS2,
      rests: false,
    })
  return t.figure(`stroke.${row.id}`, strokeTorque, {
    strokeMm,
    speedMmPerS,
    accelerationMmPerS2,
    dwellS,
    accelerateNm: torqueNm(1),
    cruiseNm: torqueNm(0),
    decelerateNm: torqueNm(-1),
  })
}
