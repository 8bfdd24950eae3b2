import { defineStrained, times } from '../shared/strained/strained'

export const CONTROLLER_STRAINED = defineStrained({
  states: {
    'controller.pulses': ['holds', 'close', 'fails'],
    'controller.measuredMove': ['holds', 'unknown'],
  },
  byHand: ['controller.measuredMove'],
  strain: (axis, by) => ({
    controller: {
      ...axis.controller,
      pulseLimitHz: by.pulseLimitHz,
      movedMm: times(axis.controller.movedMm, by.moved),
    },
  }),
})
