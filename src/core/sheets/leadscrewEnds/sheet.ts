import { defineSheet } from '../sheet'

/** The ends that the screw is turned to, out of the parts that are chosen. */
export const leadscrewEnds = defineSheet({
  id: 'leadscrewEnds',
  stage: 'room',
  title: 'Ends of the screw',
})
