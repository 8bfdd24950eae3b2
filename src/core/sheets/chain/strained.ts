import { defineStrained, times } from '../shared/strained/strained'

export const CHAIN_STRAINED = defineStrained({
  states: {
    'room.chain': ['holds', 'close'],
  },
  byHand: ['room.chain'],
  strain: (axis, by) => ({
    chain: {
      ...axis.chain,
      links: axis.chain.links.map(link => ({
        ...link,
        plusMm: times(link.plusMm, 1 / by.chain),
        minusMm: times(link.minusMm, 1 / by.chain),
      })),
    },
  }),
})
