import { calculation } from '../../../calculation/calculation'
import type { PartOf } from '../../../document/parts/types'
import { type EvaluationContext, remembered } from '../../../evaluation/context'
import { choice, given, length, plain, smallLength, stepsPerLength } from '../../../field/field'
import { ratio } from '../../../machine/drive/transmission'
import { fullStepsPerRev } from '../../../machine/sizing/motor'
import { travel } from '../../../machine/travel/placement'
import { CONTROLLER } from './controllerModel'

/** A first try goes at this share of the speed, and of the acceleration, that are wanted later. */
export const FIRST_TRY = { speed: 0.1, acceleration: 0.25 } as const

/** Steps to the thousandth, as controllers take them. */
export const roundSteps = (steps: number): number => Math.round(steps * 1000) / 1000

/**
 * Steps for a millimetre of travel as the drive has them, and how fast they follow each other at the top speed.
 *
 * @example controllerSteps({ motor: 'stepper', fullStepsPerRev: 200, microsteps: 8, countsPerRev: 4000, ratio: 1, leadMm: 5,
 *   topSpeedMmPerS: 50 }) // { stepsPerMm: 320, pulsesPerS: 16000, stepUm: 3.125 }
 */
export const controllerSteps = calculation({
  id: 'controller.steps',
  title: 'Steps a millimetre',
  formula: 'stepper: e = z m r / Ph; servo: e = c r / Ph; f = e v; s = 1000 / e',
  source: 'Geometry of the drive',
  validity: 'A lead that is what its sheet says: a measured move tells. A servo has no microsteps',
  inputs: {
    motor: choice('kind of motor', ['stepper', 'servo']),
    fullStepsPerRev,
    microsteps: plain('microsteps to a step', { min: 1 }, { symbol: 'm', whole: true }),
    countsPerRev: plain('counts that the drive of a servo takes a turn', { over: 0 }, { symbol: 'c' }),
    ratio: plain('motor turns per screw turn', { over: 0 }, { symbol: 'r' }),
    leadMm: length('lead', { over: 0 }, { symbol: 'Ph' }),
    topSpeedMmPerS: plain('top speed', { min: 0 }, { symbol: 'v', unit: 'mm/s' }),
  },
  outputs: {
    stepsPerMm: stepsPerLength('steps a millimetre', {}, { symbol: 'e' }),
    pulsesPerS: plain('pulses at top speed', {}, { symbol: 'f', unit: '1/s' }),
    stepUm: smallLength('a step at the slide', {}, { symbol: 's' }),
  },
  compute: ({ motor, fullStepsPerRev, microsteps, countsPerRev, ratio, leadMm, topSpeedMmPerS }) => {
    const perTurn = motor === 'servo' ? countsPerRev : fullStepsPerRev * microsteps
    const stepsPerMm = (perTurn * ratio) / leadMm
    return { stepsPerMm, pulsesPerS: stepsPerMm * topSpeedMmPerS, stepUm: 1000 / stepsPerMm }
  },
})

/**
 * Steps for a millimetre of travel as a measured move corrects them.
 *
 * @example correctedSteps({ stepsPerMm: 320, commandedMm: 300, movedMm: 300.3 }).correctedPerMm // 319.68
 */
export const correctedSteps = calculation({
  id: 'controller.correctedSteps',
  title: 'Steps a millimetre, corrected',
  formula: 'ec = e c / s',
  source: 'A measured move takes out what the lead is off',
  validity: 'The move measured well: to a thousandth of its length or better',
  inputs: {
    stepsPerMm: stepsPerLength('steps a millimetre of the drive', { over: 0 }, { symbol: 'e' }),
    commandedMm: given(CONTROLLER.of.commandedMm),
    movedMm: given(CONTROLLER.of.movedMm),
  },
  outputs: { correctedPerMm: stepsPerLength('steps a millimetre to set', {}, { symbol: 'ec' }) },
  compute: ({ stepsPerMm, commandedMm, movedMm }) => ({
    correctedPerMm: (stepsPerMm * commandedMm) / movedMm,
  }),
})

/** Whether a motor is a servo: what bears a torque all day takes counts, and has no microsteps. */
export const isServo = ({ continuousTorqueNm }: PartOf['motor']): boolean => continuousTorqueNm !== null

/** Steps of the drive of an axis, and its pulses at top speed, before any measured move. @throws NotKnown without parts */
export const driveSteps = remembered((t: EvaluationContext) => {
  const motor = t.part('motor')
  return t.figure('controllerSteps', controllerSteps, {
    motor: isServo(motor) ? 'servo' : 'stepper',
    fullStepsPerRev: motor.fullStepsPerRev,
    microsteps: t.axis.drive.microsteps,
    // The sheet of a servo gives the counts of a turn where a stepper has its steps; its drive may be set to others.
    countsPerRev: t.axis.controller.countsPerRev ?? motor.fullStepsPerRev,
    ratio: ratio(t),
    leadMm: t.part('screw').leadMm,
    topSpeedMmPerS: t.axis.goals.topSpeedMmPerMin / 60,
  })
})

/** Further off than this no lead is: a measured move that says so asks what was set or typed, and corrects nothing. */
export const MOST_CORRECTION_SHARE = 0.1

/** What the controller of an axis is set to, from what was chosen under Size and measured since. @throws NotKnown without parts */
export const controllerSettings = remembered((t: EvaluationContext) => {
  const { commandedMm, movedMm } = t.axis.controller
  const drive = driveSteps(t)
  // A move that nobody has measured corrects nothing.
  const move = commandedMm !== null && movedMm !== null ? { commandedMm, movedMm } : null
  const offShare = move ? Math.abs(move.movedMm / move.commandedMm - 1) : 0
  const isMeasured = move !== null && offShare <= MOST_CORRECTION_SHARE
  return {
    stepsPerMm: isMeasured
      ? t.figure('correctedSteps', correctedSteps, { stepsPerMm: drive.stepsPerMm, ...move }).correctedPerMm
      : drive.stepsPerMm,
    isMeasured,
    /** By how much of itself the measured move is off, where that is too much to be a lead; null where it can be meant. */
    oddShare: offShare > MOST_CORRECTION_SHARE ? offShare : null,
    maxSpeedMmPerMin: t.axis.goals.topSpeedMmPerMin,
    accelerationMmPerS2: t.axis.goals.accelerationMmPerS2,
    softTravelMm: travel(t).travelMm,
  }
})
