import { angle, choice, length, type RowOf, rows, smallLength } from '../../field/field'
import { GAUGE_STEP, readingOrNone, TIP_LIFTED } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/model'

/** A face swept by an indicator: seen from the motor, 0 up, clockwise. */
export const FACE_ANGLES = rows(
  'Angle',
  { angleDeg: angle('At', [0, 360]), readingUm: readingOrNone('Reading') },
  { most: 72 },
)

export const FLANGE_ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  face: choice('Face', ['nut-flange', 'casting', 'motor-plate'], {
    words: {
      'nut-flange': 'flange of the nut',
      casting: 'face of a casting',
      'motor-plate': 'plate of the motor',
    },
  }),
  gaugeStepUm: GAUGE_STEP,
  tipLifted: TIP_LIFTED,
  radiusMm: length('Tip sweeps at a radius of', [2, 500], { blank: 20 }),
  boltCircleMm: length('Bolt circle', [5, 1000], { blank: 36 }),
  acceptedUm: smallLength('Accepted over the bolt circle', [1, 1000], { blank: 20 }),
  stations: FACE_ANGLES,
})
export type FlangeRound = RowOf<typeof FLANGE_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    flangeRounds: FlangeRound[]
  }
}
