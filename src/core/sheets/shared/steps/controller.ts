import { calculation } from '../../../calculation/calculation'
import type { PartOf } from '../../../document/parts/types'
import { type EvaluationContext, remembered } from '../../../evaluation/context'
import {
  choice,
  choiceOrNone,
  flag,
  given,
  length,
  plain,
  record,
  smallLength,
  stepsPerLength,
  type ValueOf,
} from '../../../field/field'
import { ratio } from '../../../machine/drive/transmission'
import { fullStepsPerRev } from '../../../machine/sizing/motor'
import { travel } from '../../../machine/travel/placement'

/** Axes that a controller knows by a letter. */
export const CONTROLLER_LETTERS = ['X', 'Y', 'Z', 'U', 'V', 'W', 'A', 'B', 'C'] as const

/** What was found when the axis first moved. */
export const CONTROLLER = record('First moves', {
  /** A long move as it was commanded, and as far as it went. */
  commandedMm: length('Commanded', [1, 10_000], {
    symbol: 'c',
    orNone: true,
    help: 'Most of the travel, in one move, after a short one the same way that takes the play out.',
  }),
  movedMm: length('Moved, as measured', [1, 10_000], {
    symbol: 's',
    orNone: true,
    help: 'Calipers, a long rule or a gauge block with an indicator, from where the move began.',
  }),
  /** The letter by which the controller knows the axis; where it is left out, its name, if that is such a letter. */
  letter: choiceOrNone('Letter in the controller', CONTROLLER_LETTERS),
  /** In what it counts a dwell: nothing in the language says which. */
  dwellUnit: choice('A dwell counts', ['seconds', 'milliseconds'], {
    words: { seconds: 'seconds (P1.5)', milliseconds: 'milliseconds (P1500)' },
  }),
  countsPerRev: plain('Counts that the servo drive takes a turn', [10, 50_000_000], {
    orNone: true,
    whole: true,
    help: 'As it is set in the drive, after its electronic gear. Empty: as the sheet of the motor has it.',
  }),
  pulseLimitHz: plain('Pulses that the controller gives out, at most', [100, 50_000_000], {
    orNone: true,
    unit: '1/s',
    help: 'From its sheet: 25,000, 100,000, 200,000 and 400,000 are usual.',
  }),
  /** Whether the table that corrects the lead is made and stands in the controller. */
  leadTableIn: flag('The table of the lead stands in it'),
  /** Whether plus went the way that the machine calls plus. */
  direction: choiceOrNone('Direction', ['right', 'turned'], {
    right: 'as it was wired',
    turned: 'turned round in the controller',
  }),
})
export type Controller = ValueOf<typeof CONTROLLER>

declare module '../../../document/axis' {
  interface SheetFields {
    controller: Controller
  }
}

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
