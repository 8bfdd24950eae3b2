import { defineStrained, times } from '../shared/strained/strained'

export const REVERSAL_STRAINED = defineStrained({
  states: {
    'prove.reversal': ['holds', 'close', 'fails'],
  },
  byHand: ['prove.reversal'],
  strain: (axis, by) => ({
    tests: axis.tests.map(test => ({
      ...test,
      stations: test.stations.map(one => ({
        ...one,
        approachPositiveUm: one.approachPositiveUm.map(um => times(um, by.readings)),
        approachNegativeUm: one.approachNegativeUm.map(um => times(um, by.readings)),
      })),
    })),
  }),
})
