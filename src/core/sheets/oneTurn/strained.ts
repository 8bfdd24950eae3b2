import { numbered } from '../../field/field'
import { BEGUN, defineStrained } from '../shared/strained/strained'

/** Nine places over five millimetres, the first of them again. */
const PLACES_MM = [0, 0.625, 1.25, 1.875, 2.5, 3.125, 3.75, 4.375, 5, 5.625, 6.25, 7.5, 8.75, 10, 0]

export const ONE_TURN_STRAINED = defineStrained({
  states: {
    'prove.oncePerTurn': ['holds', 'fails'],
  },
  strain: (_, by) => ({
    waveRounds: [
      {
        ...BEGUN,
        id: 'wave',
        screw: 'first',
        gaugeMore: 'up',
        stations: numbered(
          'place',
          PLACES_MM.map(positionMm => ({
            positionMm: 100 + positionMm,
            deviationUm: Math.round(2 * by.heights * Math.cos((2 * Math.PI * positionMm) / 5)),
          })),
        ),
      },
    ],
  }),
})
