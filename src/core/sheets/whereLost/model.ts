import { length, numberOf, type RowOf, rows } from '../../field/field'
import { GAUGE_STEP, readingOrNone } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/model'

/** One push and pull, read at the five places one after another: how far the indicator goes from the one to the other. */
export const PLACES_READ = rows(
  'Push and pull',
  {
    motorHubUm: readingOrNone('Motor hub'),
    screwHubUm: readingOrNone('Screw hub'),
    screwEndUm: readingOrNone('Screw end'),
    nutFlangeUm: readingOrNone('Nut flange'),
    slideUm: readingOrNone('Slide'),
  },
  { most: 20 },
)

export const LOST_ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  gaugeStepUm: GAUGE_STEP,
  forceN: numberOf('pull')('Pushed and pulled with', [1, 20_000], {
    blank: 100,
    help: 'The same at every place, past the friction of the slide.',
  }),
  motorRadiusMm: length('Motor hub read at a radius of', [2, 500], {
    blank: 12,
    help: 'From the middle of the shaft to the tip; on a bar clamped to the hub it reads finer.',
  }),
  screwRadiusMm: length('Screw hub read at a radius of', [2, 500], { blank: 12 }),
  stations: PLACES_READ,
})
export type LostRound = RowOf<typeof LOST_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    lostRounds: LostRound[]
  }
}
