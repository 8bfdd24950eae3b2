import { numberOf, type RowOf, rows } from '../../field/field'
import { ROUND } from '../shared/rounds/model'

const mass = numberOf('mass')
const pull = numberOf('pull')

export const PULLS = rows(
  'Pull',
  {
    addedMassKg: mass('Weight laid on', [0, 2000]),
    pullN: pull('Pull', [0, 20_000], { orNone: true }),
  },
  { most: 40 },
)

export const WAYS_ROUNDS = rows('Round', {
  ...ROUND,
  massKg: mass('Mass of the slide', [0.1, 20_000], { blank: 60 }),
  scaleStepN: pull('Step of the scale', [0.001, 500], {
    orNone: true,
    help: 'One mark of the spring scale: a luggage scale of 10 g shows 0.1 N.',
  }),
  stations: PULLS,
})
export type WaysRound = RowOf<typeof WAYS_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    waysRounds: WaysRound[]
  }
}
