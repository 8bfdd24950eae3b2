import { defineStrained, times } from '../shared/strained/strained'

export const HOLE_STRAINED = defineStrained({
  states: {
    'room.holes': ['holds', 'fails'],
  },
  byHand: ['room.holes'],
  strain: (axis, by) => ({
    holes: axis.holes.map(hole => ({ ...hole, edgeDistanceMm: times(hole.edgeDistanceMm, by.edge) })),
  }),
})
