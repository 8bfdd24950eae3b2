import { choice, numberOf, type RowOf, rows } from '../../field/field'
import { GAUGE_STEP, readingOrNone } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/model'

const pull = numberOf('pull')

/** The places along the drive at which an indicator can stand, from the slide back to the motor. */
export const PUSHED_PLACES = ['slide', 'nut', 'screw-end', 'block'] as const

export const PUSHES = rows(
  'Push',
  {
    forceN: pull('Push, or pull with a minus', [-20_000, 20_000]),
    readingUm: readingOrNone('Reading'),
  },
  { most: 60 },
)

/** The slide pushed and pulled with some forces, the drive held by its motor. */
export const PUSH_ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  at: choice('Indicator on', PUSHED_PLACES, {
    words: {
      slide: 'the slide',
      nut: 'the flange of the nut',
      'screw-end': 'the end of the screw',
      block: 'the fixed block',
    },
  }),
  gaugeStepUm: GAUGE_STEP,
  stations: PUSHES,
})
export type PushRound = RowOf<typeof PUSH_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    pushRounds: PushRound[]
  }
}
