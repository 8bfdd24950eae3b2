import { defineStrained, times } from '../shared/strained/strained'

export const PRELOAD_STRAINED = defineStrained({
  states: {
    'align.preload': ['holds', 'close', 'fails'],
  },
  byHand: ['align.preload'],
  strain: (axis, by) => ({
    preloadRounds: axis.preloadRounds.map(round => ({
      ...round,
      turnedDeg: times(round.turnedDeg, by.by),
    })),
  }),
})
