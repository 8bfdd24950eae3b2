import { defineStrained, times } from '../shared/strained/strained'

export const FLANGE_STRAINED = defineStrained({
  states: {
    'align.flange': ['holds', 'fails'],
  },
  strain: (axis, by) => ({
    flangeRounds: axis.flangeRounds.map(round => ({
      ...round,
      stations: round.stations.map(one => ({ ...one, readingUm: times(one.readingUm, by.heights / 10) })),
    })),
  }),
})
