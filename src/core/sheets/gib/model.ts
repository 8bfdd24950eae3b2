import { choice, choiceOrNone, length, plain, type RowOf, rows, smallLength } from '../../field/field'
import { GAUGE_STEP, place } from '../../readings/model'
import { ROUND } from '../shared/rounds/model'

/** What the slide gives to the side when it is pushed and pulled at a place. */
export const GIB_PLACES = rows(
  'Place',
  {
    positionMm: place('Slide at'),
    playUm: smallLength('Play to the side', [0, 20_000], { orNone: true }),
  },
  { most: 100 },
)

export const GIB_ROUNDS = rows('Round', {
  ...ROUND,
  gaugeStepUm: GAUGE_STEP,
  kind: choice('Gib', ['tapered', 'straight'], {
    words: { tapered: 'tapered, pushed by a screw at its end', straight: 'straight, with screws along it' },
  }),
  targetUm: smallLength('Play to be left', [1, 500], { blank: 15 }),
  taperRatio: plain('Taper, 1 to', [5, 500], {
    orNone: true,
    help: 'The gib measured at both ends: its length, over what it is thicker at one.',
  }),
  screwPitchMm: length('Pitch of its screw', [0.25, 5], { orNone: true }),
  locks: choiceOrNone('Wound slowly, it locks', ['nowhere', 'one-way', 'both'], {
    nowhere: 'nowhere',
    'one-way': 'going one way, free the other',
    both: 'both ways',
  }),
  stations: GIB_PLACES,
})
export type GibRound = RowOf<typeof GIB_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    gibRounds: GibRound[]
  }
}
