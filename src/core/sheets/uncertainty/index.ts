import { UNCERTAINTY } from '../shared/proofs/uncertaintyModel'
import { defineSheet } from '../sheet'

/** What the figures of an axis are uncertain by: the readings, the gauge, warmth, a leaning stem, and the setting up. */
export const uncertainty = defineSheet({
  id: 'uncertainty',
  stage: 'prove',
  order: 100,
  loads: 'asked',
  title: 'Uncertainty',
  fields: { uncertainty: UNCERTAINTY },
})
