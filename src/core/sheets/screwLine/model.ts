import { type RowOf, rows } from '../../field/field'
import { GAUGE_STEP, place, readingOrNone } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/rounds'

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
  gaugeStepUm: GAUGE_STEP,
  stations: ALIGN_STATIONS,
})
export type AlignRound = RowOf<typeof ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    rounds: AlignRound[]
  }
}
