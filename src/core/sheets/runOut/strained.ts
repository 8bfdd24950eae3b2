import { defineStrained, times } from '../shared/strained/strained'

export const RUN_OUT_STRAINED = defineStrained({
  states: {
    'align.runOut': ['holds', 'close', 'fails'],
  },
  byHand: ['align.runOut'],
  strain: (axis, by) => ({
    runOutRounds: axis.runOutRounds.map(round => ({
      ...round,
      stations: round.stations.map(one => ({
        ...one,
        wholeUm: times(one.wholeUm, one.where === 'far' ? 0.3 * by.by * by.by : 1),
      })),
    })),
  }),
})
