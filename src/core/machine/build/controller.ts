import { calculation } from '../../calculation/calculation'
import { inputOf } from '../../calculation/inputOf'
import { number } from '../../calculation/spec'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { choiceOrNone, length, record, type ValueOf } from '../../field/field'
import { ratio } from '../drive/transmission'
import { fullStepsPerRev } from '../sizing/motor'
import { travel } from '../travel/placement'

/** What was found when the axis first moved. */
export const CONTROLLER = record('First moves', {
  /** A long move as it was commanded, and as far as it went. */
  commandedMm: length('Commanded', [1, 10_000], {
    orNone: true,
    help: 'Most of the travel, in one move, after a short one the same way that takes the play out.',
  }),
  movedMm: length('Moved, as measured', [1, 10_000], {
    orNone: true,
    help: 'Calipers, a long rule or a gauge block with an indicator, from where the move began.',
  }),
  /** Whether plus went the way that the machine calls plus. */
  direction: choiceOrNone('Direction', ['right', 'turned'], {
    right: 'as it was wired',
    turned: 'turned round in the controller',
  }),
})
export type Controller = ValueOf<typeof CONTROLLER>

declare module '../../document/axis' {
  interface SheetFields {
    controller: Controller
  }
}

/**
 * Steps for a millimetre of travel, as the drive has them.
 *
 * @example stepsPerMm({ fullStepsPerRev: 200, microsteps: 8, ratio: 1, leadMm: 5 }) // { stepsPerMm: 320 }
 */
export const stepsPerMm = calculation({
  id: 'controller.stepsPerMm',
  title: 'Steps a millimetre',
  formula: 'e = z m r / Ph',
  source: 'Geometry of the drive',
  validity: 'A lead that is what its sheet says: a measured move tells',
  inputs: {
    fullStepsPerRev,
    microsteps: number('microsteps to a step', 'm', '1', { min: 1, integer: true }),
    ratio: number('motor turns per screw turn', 'r', '1', { over: 0 }),
    leadMm: number('lead', 'Ph', 'mm', { over: 0 }),
  },
  outputs: { stepsPerMm: number('steps a millimetre', 'e', '1/mm', {}) },
  compute: ({ fullStepsPerRev, microsteps, ratio, leadMm }) => ({
    stepsPerMm: (fullStepsPerRev * microsteps * ratio) / leadMm,
  }),
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
    stepsPerMm: number('steps a millimetre of the drive', 'e', '1/mm', { over: 0 }),
    commandedMm: inputOf(CONTROLLER.of.commandedMm, 'c'),
    movedMm: inputOf(CONTROLLER.of.movedMm, 's'),
  },
  outputs: { correctedPerMm: number('steps a millimetre to set', 'ec', '1/mm', {}) },
  compute: ({ stepsPerMm, commandedMm, movedMm }) => ({
    correctedPerMm: (stepsPerMm * commandedMm) / movedMm,
  }),
})

/** What the controller of an axis is set to, from what was chosen under Size and measured since. @throws NotKnown without parts */
export const controllerSettings = remembered((t: EvaluationContext) => {
  const { commandedMm, movedMm } = t.axis.controller
  const drive = t.figure('stepsPerMm', stepsPerMm, {
    fullStepsPerRev: t.part('motor').fullStepsPerRev,
    microsteps: t.axis.drive.microsteps,
    ratio: ratio(t),
    leadMm: t.part('screw').leadMm,
  })
  // A move that nobody has measured corrects nothing.
  const isMeasured = commandedMm !== null && movedMm !== null
  return {
    stepsPerMm: isMeasured
      ? t.figure('correctedSteps', correctedSteps, { ...drive, commandedMm, movedMm }).correctedPerMm
      : drive.stepsPerMm,
    isMeasured,
    maxSpeedMmPerMin: t.axis.goals.topSpeedMmPerMin,
    accelerationMmPerS2: t.axis.goals.accelerationMmPerS2,
    softTravelMm: travel(t).travelMm,
  }
})
