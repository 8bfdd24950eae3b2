import { defineStrained, times } from '../shared/strained/strained'

export const RAILS_STRAINED = defineStrained({
  states: {
    'align.rails': ['holds', 'fails'],
  },
  strain: (axis, by) => ({
    railRounds: axis.railRounds.map(round => ({
      ...round,
      stations: round.stations.map(one => ({ ...one, readingUm: times(one.readingUm, by.heights / 10) })),
    })),
  }),
})
