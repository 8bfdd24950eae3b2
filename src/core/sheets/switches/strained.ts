import { defineStrained, times } from '../shared/strained/strained'

export const SWITCH_STRAINED = defineStrained({
  states: {
    'switches.fixed': ['holds', 'close', 'fails'],
    'switches.far': ['holds', 'close', 'fails'],
    'cable.chain': ['holds', 'close', 'fails'],
  },
  strain: (axis, by) => ({
    switches: axis.switches.map(one => ({
      ...one,
      contact: by.contact,
      beforeStopMm: times(one.beforeStopMm, by.switchMm),
    })),
    cable: { ...axis.cable, roomMm: times(axis.cable.roomMm, by.loop) },
  }),
})
