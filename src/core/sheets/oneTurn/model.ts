import { type RowOf, rows } from '../../field/field'
import { GAUGE_MORE, GAUGE_STEP, place, readingOrNone } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/model'

export const WAVE_PLACES = rows(
  'Place',
  { positionMm: place('Commanded'), deviationUm: readingOrNone('Off what was commanded') },
  { most: 60 },
)

/** Places within one or two turns of the screw, all come to from the same side. */
export const WAVE_ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  gaugeStepUm: GAUGE_STEP,
  gaugeMore: GAUGE_MORE,
  stations: WAVE_PLACES,
})
export type WaveRound = RowOf<typeof WAVE_ROUNDS>

/** The column of its places: the first is read again as the last. */
export const closes = () => 'positionMm'

declare module '../../document/axis' {
  interface SheetFields {
    waveRounds: WaveRound[]
  }
}
