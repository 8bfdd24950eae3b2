import { choiceOrNone, type RowOf, rows } from '../../field/field'
import { GAUGE_STEP, place, readingOrNone, TIP_LIFTED } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/model'

/** Indicator readings of the screw at places along it. */
export const ALIGN_STATIONS = rows(
  'Place',
  {
    positionMm: place('Along the screw'),
    heightUm: readingOrNone('Height'),
    sideUm: readingOrNone('Side'),
  },
  { most: 200 },
)

/** Rounds of readings, each with the nut clamped at a place. */
export const ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  clampedAtMm: place('Nut clamped at'),
  tight: choiceOrNone('Blocks that are tight', ['both', 'fixed', 'far'], {
    both: 'both',
    fixed: 'the fixed one; the far one is slack',
    far: 'the far one; the fixed one is slack',
  }),
  turnedTo: choiceOrNone('The screw, before each reading', ['mark', 'any'], {
    mark: 'turned to its mark',
    any: 'as it came',
  }),
  tipLifted: TIP_LIFTED,
  halfTurnHeightUm: readingOrNone('Height where it reads most, half a turn on'),
  halfTurnSideUm: readingOrNone('Side where it reads most, half a turn on'),
  gaugeStepUm: GAUGE_STEP,
  stations: ALIGN_STATIONS,
})
export type AlignRound = RowOf<typeof ROUNDS>

/** The column of its places: the first is read again as the last. */
export const closes = () => 'positionMm'

declare module '../../document/axis' {
  interface SheetFields {
    rounds: AlignRound[]
  }
}
