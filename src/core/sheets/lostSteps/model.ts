import { numberOf, plain, type RowOf, rows } from '../../field/field'
import { GAUGE_STEP, readingOrNone } from '../../readings/model'
import { ROUND } from '../shared/rounds/model'

const speed = numberOf('speed')

/** Coming back to zero, after slow moves and after fast ones. */
export const RETURNS = rows(
  'Return',
  {
    slowUm: readingOrNone('After slow moves'),
    fastUm: readingOrNone('After fast moves'),
  },
  { most: 40 },
)

export const RETURN_ROUNDS = rows('Round', {
  ...ROUND,
  gaugeStepUm: GAUGE_STEP,
  movesEach: plain('Moves before each reading', [1, 1000], { whole: true, blank: 20 }),
  fastMmPerMin: speed('Fast moves at', [1, 200_000], { blank: 3000 }),
  stations: RETURNS,
})
export type ReturnRound = RowOf<typeof RETURN_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    returnRounds: ReturnRound[]
  }
}
