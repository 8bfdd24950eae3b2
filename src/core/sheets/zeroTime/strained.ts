import { numbered } from '../../field/field'
import { BEGUN, defineStrained } from '../shared/strained/strained'

export const ZERO_TIME_STRAINED = defineStrained({
  states: {
    'prove.zeroTime': ['holds', 'fails'],
  },
  strain: (axis, by) => ({
    zeroRounds: [
      {
        ...BEGUN,
        id: 'zero',
        gaugeMore: 'up',
        nearMm: 0.1 * axis.goals.wantedTravelMm,
        farMm: 0.9 * axis.goals.wantedTravelMm,
        stations: numbered(
          'return',
          Array.from({ length: 16 }, (_, index) => {
            const grown = 3 * by.heights * (1 - Math.exp((-2 * index) / 9))
            return { minutes: 2 * index, nearUm: Math.round(0.1 * grown), farUm: Math.round(grown) }
          }),
        ),
      },
    ],
  }),
})
