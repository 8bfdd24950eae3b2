import { defineStrained } from '../shared/strained/strained'

export const BLOCK_STRAINED = defineStrained({
  states: {
    'room.block': ['holds', 'close', 'fails'],
  },
  strain: (axis, by) => ({
    block: axis.block && {
      ...axis.block,
      outerSpacerMm: Math.max(0, axis.block.outerSpacerMm + by.spacerMm),
      innerSpacerMm: Math.max(0, axis.block.outerSpacerMm + by.spacerMm + by.innerMm),
    },
  }),
})
