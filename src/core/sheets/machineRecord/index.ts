import { defineSheet } from '../sheet'

/** What goes with the machine on paper and in its file. */
export const machineRecord = defineSheet({
  id: 'machineRecord',
  stage: 'machine',
  order: 70,
  loads: 'first',
  title: 'Record',
})
