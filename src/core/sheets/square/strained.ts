import { defineStrained } from '../shared/strained/strained'

export const SQUARE_STRAINED = defineStrained({
  states: {
    'align.square': ['holds', 'fails'],
    'align.leadMismatch': ['holds', 'fails'],
  },
  byHand: ['align.leadMismatch'],
  strain: (axis, by) => ({
    squareRounds: axis.squareRounds.map((round, index) => ({
      ...round,
      // The first is read true or not; the second drifts from it.
      diagonalAMm:
        round.diagonalAMm === null ? null : 2059.15 + (by.by - 0.3) * 1.25 + index * (by.heights - 1) * 0.2,
      diagonalBMm:
        round.diagonalBMm === null ? null : 2059.15 - (by.by - 0.3) * 1.25 - index * (by.heights - 1) * 0.2,
    })),
  }),
})
