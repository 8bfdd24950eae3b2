import { defineStrained, times } from '../shared/strained/strained'

export const SCREW_LINE_STRAINED = defineStrained({
  states: {
    'align.height': ['holds', 'fails'],
    'align.side': ['holds', 'fails'],
  },
  byHand: ['align.height', 'align.side'],
  strain: (axis, by) => ({
    rounds: axis.rounds.map(round => ({
      ...round,
      halfTurnHeightUm: times(round.halfTurnHeightUm, by.heights),
      halfTurnSideUm: times(round.halfTurnSideUm, by.heights),
      stations: round.stations.map(one => ({
        ...one,
        heightUm: times(one.heightUm, by.heights),
        sideUm: times(one.sideUm, by.heights),
      })),
    })),
  }),
})
