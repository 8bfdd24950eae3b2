import type { PaperBlock } from '../../drawing/paper'
import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { controllerSettings } from '../../machine/build/controller'
import { say } from '../../units/print'
import { MM_PER_INCH } from '../../units/quantity'

/** A setting of the controller: what it is, what to set, and for the first try. */
export interface Setting {
  what: string
  set: string
  /** For the first try, where that is less. */
  first: string
  from: string
}

const round = (steps: number) => Math.round(steps * 1000) / 1000

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
  return [
    {
      what: 'Steps a millimetre',
      set: `${round(stepsPerMm)}`,
      first: '',
      from: isMeasured ? 'measured' : 'from motor, microsteps and lead: a measured move corrects it',
    },
    ...(units === 'inch'
      ? [{ what: 'Steps an inch', set: `${round(stepsPerMm * MM_PER_INCH)}`, first: '', from: 'the same' }]
      : []),
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
      first: speed(maxSpeedMmPerMin / 10),
      from: 'goals, under Size',
    },
    {
      what: 'Acceleration',
      set: acceleration(accelerationMmPerS2),
      first: acceleration(accelerationMmPerS2 / 4),
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

/** What is tried first under power, in its order. */
export const FIRST_MOVES = [
  'Hand on the stop. Guards on, nobody else at the machine, the axis in the middle of its travel.',
  'Each switch pressed by hand: the controller must say so.',
  'Jog a little: plus goes where the machine says plus. If not, turn the direction round in the controller.',
  'Home it slowly. It must stop and back off.',
  'Slowly onto each limit from a long way off: it stops before the hard stop.',
  'Soft limits on: jog to both ends. It stops before the switch.',
  'Half the top speed and a quarter of the acceleration over the full travel, ten times. Then raise both.',
  'A long move measured: enter what was commanded and what it went.',
] as const

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
          ...FIRST_MOVES.map((text, index) => ['☐', `${index + 1}. ${text}`]),
        ]
      : [],
  }
}
