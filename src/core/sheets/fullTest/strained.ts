import { numbered } from '../../field/field'
import { BEGUN, defineStrained } from '../shared/strained/strained'

export const FULL_TEST_STRAINED = defineStrained({
  states: {
    'prove.accuracy': ['holds', 'fails'],
    'prove.fullReversal': ['holds', 'fails'],
  },
  strain: (axis, by) => ({
    fullTests: [
      {
        ...BEGUN,
        id: 'full',
        label: 'Full test',
        runs: 5,
        feedMmPerMin: 1000,
        dwellS: 5,
        overrunMm: 2,
        warmUpMinutes: 15,
        conditions: null,
        gaugeMore: null,
        shifts: [],
        temperatureC: null,
        gauge: null,
        who: null,
        targets: numbered(
          'target',
          [0, 0.23, 0.48, 0.77, 1].map(share => ({
            targetMm: share * axis.goals.wantedTravelMm,
            positiveUm: [0, 1, 0, 1, 0].map(more => more + Math.round(3 * by.heights)),
            negativeUm: [0, -1, 0, -1, 0].map(more => more - Math.round(3 * by.heights)),
          })),
        ),
      },
    ],
  }),
})
