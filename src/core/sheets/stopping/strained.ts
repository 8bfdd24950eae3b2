import { defineStrained, times } from '../shared/strained/strained'

export const STOPPING_STRAINED = defineStrained({
  states: {
    'stopping.fixed': ['holds', 'close', 'fails'],
    'stopping.far': ['holds', 'close', 'fails'],
  },
  strain: (axis, by) => ({
    recesses: {
      ...axis.recesses,
      safetyFixedMm: times(axis.recesses.safetyFixedMm, by.clear),
      safetyFarMm: times(axis.recesses.safetyFarMm, by.clear),
    },
  }),
})
