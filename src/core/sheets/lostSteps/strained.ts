import { numbered } from '../../field/field'
import { BEGUN, defineStrained } from '../shared/strained/strained'

export const LOST_STEPS_STRAINED = defineStrained({
  states: {
    'prove.steps': ['holds', 'fails'],
  },
  strain: (_, by) => ({
    returnRounds: [
      {
        ...BEGUN,
        id: 'return',
        movesEach: 20,
        fastMmPerMin: 3000,
        stations: numbered(
          'return',
          [1, 2, 3].map(slowUm => ({ slowUm, fastUm: slowUm + Math.round(2.5 * by.heights) })),
        ),
      },
    ],
  }),
})
