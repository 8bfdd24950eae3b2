import { numbered } from '../../field/field'
import { BEGUN, defineStrained } from '../shared/strained/strained'

export const SCALE_STRAINED = defineStrained({
  states: {
    'prove.scale': ['holds', 'fails'],
  },
  strain: (axis, by) => ({
    scaleRounds: [
      {
        ...BEGUN,
        id: 'scale',
        stepsPerMm: 400,
        stations: numbered(
          'move',
          [0, 0.25, 0.5, 0.75, 1].map(share => ({
            commandedMm: share * axis.goals.wantedTravelMm,
            measuredMm: share * (axis.goals.wantedTravelMm + by.heights / 100) + 0.001 * (share % 0.5),
          })),
        ),
      },
    ],
  }),
})
