import { plain, type RowOf, rows } from '../../field/field'
import { GAUGE_MORE, GAUGE_STEP, place, readingOrNone } from '../../readings/model'
import { ROUND } from '../shared/rounds/model'

export const RETURNS_BY_TIME = rows(
  'Return',
  {
    minutes: plain('Minutes run', [0, 1000], { unit: 'min' }),
    nearUm: readingOrNone('Near the fixed block'),
    farUm: readingOrNone('Far from it'),
  },
  { most: 200 },
)

/** One place or two, come back to from the same side time and again, from cold on, the axis running between. */
export const ZERO_ROUNDS = rows('Round', {
  ...ROUND,
  gaugeStepUm: GAUGE_STEP,
  gaugeMore: GAUGE_MORE,
  nearMm: place('The place near the fixed block'),
  farMm: place('The place far from it'),
  stations: RETURNS_BY_TIME,
})
export type ZeroRound = RowOf<typeof ZERO_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    zeroRounds: ZeroRound[]
  }
}
