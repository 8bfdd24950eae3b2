import { numbered } from '../../field/field'
import { BEGUN, defineStrained } from '../shared/strained/strained'

export const WHERE_LOST_STRAINED = defineStrained({
  states: {
    'prove.whereLost': ['holds', 'fails'],
  },
  strain: (_, by) => ({
    lostRounds: [
      {
        ...BEGUN,
        id: 'lost',
        screw: 'first',
        forceN: 900,
        motorRadiusMm: 12,
        screwRadiusMm: 12,
        stations: numbered(
          'pull',
          [0, 1, 0].map(more => ({
            motorHubUm: 2,
            screwHubUm: 4 + more,
            screwEndUm: 2 + Math.round(by.heights),
            nutFlangeUm: 5 + Math.round(2 * by.heights),
            slideUm: 6 + Math.round(3 * by.heights) + more,
          })),
        ),
      },
    ],
  }),
})
