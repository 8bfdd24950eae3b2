import { defineStrained, times } from '../shared/strained/strained'

export const SHAFTS_STRAINED = defineStrained({
  states: {
    'align.coupler': ['holds', 'close', 'fails'],
    'align.belt': ['holds', 'fails'],
  },
  byHand: ['align.belt'],
  strain: (axis, by) => ({
    couplerRounds: axis.couplerRounds.map(round => ({
      ...round,
      stations: round.stations.map(one => ({
        ...one,
        rimUm: times(one.rimUm, by.heights),
        faceUm: times(one.faceUm, by.by),
      })),
    })),
    beltRounds: axis.beltRounds.map(round => ({
      ...round,
      stations: round.stations.map(one => ({ ...one, gapUm: times(one.gapUm, by.heights) })),
    })),
  }),
})
