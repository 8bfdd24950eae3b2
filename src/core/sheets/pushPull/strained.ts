import { numbered } from '../../field/field'
import { BEGUN, defineStrained } from '../shared/strained/strained'

export const PUSH_PULL_STRAINED = defineStrained({
  states: {
    'prove.pushPull': ['holds', 'fails'],
  },
  strain: (_, by) => ({
    pushRounds: [
      {
        ...BEGUN,
        id: 'push',
        screw: 'first',
        at: 'slide',
        stations: numbered(
          'push',
          [-900, -700, -500, 500, 700, 900].map(forceN => ({
            forceN,
            readingUm: Math.round(3 * Math.sign(forceN) * by.heights + forceN / 60),
          })),
        ),
      },
    ],
  }),
})
