import { defineStrained, times } from '../shared/strained/strained'

export const OVERHANG_STRAINED = defineStrained({
  states: {
    'align.overhang': ['holds', 'close', 'fails'],
    'align.droop': ['holds', 'fails'],
  },
  byHand: ['align.overhang'],
  strain: (axis, by) => ({
    overhangRounds: axis.overhangRounds.map(round => ({
      ...round,
      overhangMm: times(round.overhangMm, by.by),
      weightOnKg: by.by < 0.5 ? 0 : round.weightOnKg / by.by,
      withUm: times(round.withUm, by.heights / 10),
    })),
  }),
})
