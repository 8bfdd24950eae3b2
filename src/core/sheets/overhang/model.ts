import { length, numberOf, type RowOf, rows } from '../../field/field'
import { GAUGE_STEP, readingOrNone } from '../../readings/model'
import { ROUND } from '../shared/rounds/model'

export const OVERHANG_ROUNDS = rows('Round', {
  ...ROUND,
  overhangMm: length('Middle of the slide beyond the middle of the way', [0, 5000], { orNone: true }),
  wayHalfLengthMm: length('Half of the way it lies on', [5, 5000], { orNone: true }),
  weightArmMm: length('Weight, from the middle of the way', [0, 5000], { blank: 150 }),
  weightOnKg: numberOf('mass')('Weight that lies on it', [0, 2000], { blank: 0 }),
  gaugeStepUm: GAUGE_STEP,
  /** The bracket of the motor, read at its outer edge from above. */
  withoutUm: readingOrNone('Bracket without the motor'),
  withUm: readingOrNone('Bracket with the motor on'),
  againUm: readingOrNone('Without it once more'),
  stations: rows('Reading', {}),
})
export type OverhangRound = RowOf<typeof OVERHANG_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    overhangRounds: OverhangRound[]
  }
}
