import { defineStrained, times } from '../shared/strained/strained'

export const NUT_ROOM_STRAINED = defineStrained({
  states: {
    'room.section': ['holds', 'close', 'fails'],
  },
  strain: (axis, by) => ({
    section: {
      ...axis.section,
      stations: axis.section.stations.map(one => ({
        ...one,
        leftMm: times(one.leftMm, by.room),
        rightMm: times(one.rightMm, by.room),
        floorMm: times(one.floorMm, by.room),
        ceilingMm: times(one.ceilingMm, by.room),
      })),
    },
  }),
})
