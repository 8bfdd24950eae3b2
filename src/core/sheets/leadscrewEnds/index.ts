import { defineSheet } from '../sheet'

/** The ends that the screw is turned to, out of the parts that are chosen. */
export const leadscrewEnds = defineSheet({
  id: 'leadscrewEnds',
  stage: 'room',
  order: 70,
  loads: 'first',
  title: 'Ends of the screw',
})
