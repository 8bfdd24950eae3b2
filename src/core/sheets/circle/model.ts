import { angle, length, type RowOf, rows, slope, smallLength, wordsOrNone } from '../../field/field'
import { GAUGE_STEP } from '../../readings/model'
import { ROUND } from '../shared/rounds/model'

export const DIAMETERS = rows(
  'Diameter',
  {
    angleDeg: angle('Direction', [0, 180]),
    diameterMm: length('Across', [0.1, 5000], { orNone: true }),
  },
  { most: 72 },
)

/** A circle that was cut or scribed, measured across in some directions, and a square with it over its diagonals. */
export const CIRCLE_ROUNDS = rows('Round', {
  ...ROUND,
  otherAxis: wordsOrNone('The other axis', 12),
  gaugeStepUm: { ...GAUGE_STEP, label: 'Step of the calipers or micrometer' },
  acceptedUmPerM: slope('Accepted out of square', [1, 20_000], { blank: 200 }),
  stations: DIAMETERS,
  sideMm: length('Side of the square', [5, 5000], { blank: 100 }),
  diagonalReadToUm: smallLength('A diagonal is read to', [0.1, 1000], {
    blank: 30,
    help: 'Calipers across corners are a few hundredths off; over pins in the holes they are as good as their step.',
  }),
  diagonalAMm: length('Diagonal from near left to far right', [1, 10_000], { orNone: true }),
  diagonalBMm: length('Diagonal from near right to far left', [1, 10_000], { orNone: true }),
})
export type CircleRound = RowOf<typeof CIRCLE_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    circleRounds: CircleRound[]
  }
}
