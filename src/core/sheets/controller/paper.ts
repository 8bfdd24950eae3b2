import type { PaperBlock } from '../../drawing/paper'
import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { say } from '../../units/print'
import { MM_PER_INCH } from '../../units/quantity'
import { controllerSettings, FIRST_TRY, isServo, roundSteps } from '../shared/steps/controller'
import { procedure } from '../shared/steps/procedure'

/** A setting of the controller: what it is, what to set, and for the first try. */
export interface Setting {
  what: string
  set: string
  /** For the first try, where that is less. */
  first: string
  from: string
}

/**
 * What the controller is set to, line by line.
 *
 * @throws NotKnown while a part or a dimension is missing
 */
export function settingsOf(context: EvaluationContext): Setting[] {
  const { stepsPerMm, isMeasured, maxSpeedMmPerMin, accelerationMmPerS2, softTravelMm } =
    controllerSettings(context)
  const { units, axis } = context
  const speed = (mmPerMin: number) => say(mmPerMin, 'speed', units)
  const acceleration = (mmPerS2: number) => say(mmPerS2, 'acceleration', units)
  const motor = context.part('motor')
  const from = isServo(motor)
    ? `from ${axis.controller.countsPerRev ?? motor.fullStepsPerRev} counts a turn (${axis.controller.countsPerRev === null ? 'as the sheet of the motor has it' : 'as its drive is set'}) and lead`
    : `from motor, ${axis.drive.microsteps} microsteps and lead`
  return [
    {
      what: units === 'inch' ? 'Steps an inch' : 'Steps a millimetre',
      set: `${roundSteps(units === 'inch' ? stepsPerMm * MM_PER_INCH : stepsPerMm)}`,
      first: '',
      from: isMeasured ? 'measured' : `${from}: a measured move corrects it`,
    },
    {
      what: 'Direction',
      set:
        axis.controller.direction === null
          ? 'not tried yet'
          : axis.controller.direction === 'right'
            ? 'as it was wired'
            : 'turned round',
      first: '',
      from: 'first moves',
    },
    {
      what: 'Top speed',
      set: speed(maxSpeedMmPerMin),
      first: speed(maxSpeedMmPerMin * FIRST_TRY.speed),
      from: 'goals, under Size',
    },
    {
      what: 'Acceleration',
      set: acceleration(accelerationMmPerS2),
      first: acceleration(accelerationMmPerS2 * FIRST_TRY.acceleration),
      from: 'goals, under Size',
    },
    {
      what: 'Between the soft limits',
      set: say(softTravelMm, 'length', units, 1),
      first: '',
      from: 'travel, under Make room',
    },
    {
      what: 'Limit and home switches',
      set: 'normally closed, hard limits on',
      first: '',
      from: 'Switches and cables',
    },
  ]
}

/** What is tried first under power, in its order, as the steps of the build have it; none while a part is not chosen. */
export const firstTries = (context: EvaluationContext): { title: string; how: string; caution?: string }[] =>
  (procedure(context) ?? []).filter(({ part }) => part === 'moves')

/** The sheet for the first moves. */
export function firstMovesOnPaper(context: EvaluationContext): PaperBlock {
  const settings = attempt(() => settingsOf(context))
  return {
    on: 'build',
    title: 'First moves',
    empty: settings.ask ?? '',
    rows: settings.value
      ? [
          ...settings.value.map(({ what, set, first }) => [
            { strong: what },
            set,
            first ? `first try: ${first}` : '',
          ]),
          ...firstTries(context).map(({ title, how, caution }, index) => [
            '☐',
            {
              strong: `${index + 1}. ${title}`,
              note: caution ? `${how} Caution: ${caution}` : how,
            },
          ]),
        ]
      : [],
  }
}
