import { numbered } from '../../field/field'
import { BEGUN, defineStrained } from '../shared/strained/strained'

export const CIRCLE_STRAINED = defineStrained({
  states: {
    'prove.circleSquare': ['holds', 'fails'],
    'prove.cutSquare': ['holds', 'fails'],
    'prove.circleScale': ['holds', 'fails'],
  },
  strain: (_, by) => ({
    circleRounds: [
      {
        ...BEGUN,
        id: 'circle',
        otherAxis: 'Y',
        acceptedUmPerM: 200,
        sideMm: 100,
        diagonalReadToUm: 5,
        diagonalAMm: 141.42 + 0.002 * by.heights,
        diagonalBMm: 141.42 - 0.002 * by.heights,
        stations: numbered(
          'diameter',
          [0, 30, 60, 90, 120, 150].map(angleDeg => ({
            angleDeg,
            diameterMm: 90 + 0.01 * by.heights * Math.cos((2 * Math.PI * (angleDeg - 20)) / 180),
          })),
        ),
      },
    ],
  }),
})
