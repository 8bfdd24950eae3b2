import { choice, length, type RowOf, rows, slope } from '../../field/field'
import { GAUGE_STEP, readingOrNone, TIP_LIFTED } from '../../readings/model'
import { ROUND } from '../shared/rounds/model'

const ownReading = (label: string) => length(label, [1, 20_000], { orNone: true })

/** Square of a gantry or of two axes; the readings are the round's own, so that there are no rows. */
export const SQUARE_ROUNDS = rows('Round', {
  ...ROUND,
  how: choice('Read', ['diagonals', 'square'], {
    words: { diagonals: 'by the diagonals of a rectangle', square: 'by a square, then turned over' },
  }),
  atMm: length('Gantry at', [0, 20_000]),
  acceptedUmPerM: slope('Accepted out of square', [1, 20_000], { blank: 200 }),
  sideAMm: length('Side along the rails', [10, 20_000], { blank: 1000 }),
  sideBMm: length('Side across', [10, 20_000], { blank: 600 }),
  readingUncertaintyMm: length('A diagonal is read to', [0.001, 10], {
    blank: 0.5,
    help: 'Half a mark of the tape; a trammel bar with an indicator reads to 0.05 mm.',
  }),
  diagonalAMm: ownReading('Diagonal A'),
  diagonalBMm: ownReading('Diagonal B'),
  gaugeStepUm: GAUGE_STEP,
  tipLifted: TIP_LIFTED,
  edgeMm: length('Along the square', [10, 5000], { blank: 250 }),
  firstUm: readingOrNone('Rise along it'),
  turnedUm: readingOrNone('Rise, turned over'),
  stations: rows('Reading', {}),
})
export type SquareRound = RowOf<typeof SQUARE_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    squareRounds: SquareRound[]
  }
}
