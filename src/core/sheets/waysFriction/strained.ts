import { defineStrained, times } from '../shared/strained/strained'

export const WAYS_FRICTION_STRAINED = defineStrained({
  states: {
    'align.waysFriction': ['holds', 'close'],
  },
  byHand: ['align.waysFriction'],
  strain: (axis, by) => ({
    waysRounds: axis.waysRounds.map(round => ({
      ...round,
      stations: round.stations.map(one => ({ ...one, pullN: times(one.pullN, by.by) })),
    })),
  }),
})
