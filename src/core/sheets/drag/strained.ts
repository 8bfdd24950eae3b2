import { defineStrained } from '../shared/strained/strained'

export const DRAG_STRAINED = defineStrained({
  states: {
    'align.drag': ['holds', 'fails'],
    'align.turn': ['holds', 'fails'],
  },
  byHand: ['align.drag', 'align.turn'],
  strain: (axis, by) => ({
    dragRounds: axis.dragRounds.map(round => ({
      ...round,
      stations: round.stations.map((one, index) =>
        index === 0 && by.by < 1 ? { ...one, away: 3.5, towards: 3.4 } : one,
      ),
    })),
    turnRounds: axis.turnRounds.map(round => ({
      ...round,
      stations: round.stations.map(one => ({
        ...one,
        drag: one.drag === null ? null : 2.7 + (one.drag - 2.7) * by.by * by.by,
      })),
    })),
  }),
})
