import { angle, length, plain, type RowOf, rows, wordsOrNone } from '../../field/field'
import { ROUND } from '../../machine/align/rounds'
import { GAUGE_STEP } from '../../machine/readings'

export const DIAMETERS = rows(
  'Diameter',
  {
    angleDeg: angle('Direction', [0, 180]),
    diameterMm: length('Across', [0.1, 5000], { orNone: true }),
  },
  { most: 72 },
)

/** A circle that was cut or scribed, measured across in some directions. */
export const CIRCLE_ROUNDS = rows('Round', {
  ...ROUND,
  otherAxis: wordsOrNone('The other axis', 12),
  gaugeStepUm: { ...GAUGE_STEP, label: 'Step of the calipers or micrometer' },
  acceptedUmPerM: plain('Accepted over a metre', [1, 20_000], { blank: 200, unit: 'µm/m' }),
  stations: DIAMETERS,
})
export type CircleRound = RowOf<typeof CIRCLE_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    circleRounds: CircleRound[]
  }
}
