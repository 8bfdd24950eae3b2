import { defineStrained } from '../shared/strained/strained'

export const GREASE_STRAINED = defineStrained({
  states: {
    'grease.access': ['holds', 'fails'],
  },
  strain: (axis, by) => ({
    lubePoints: axis.lubePoints.map(point => ({ ...point, access: by.access })),
  }),
})
