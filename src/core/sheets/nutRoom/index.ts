import { defineSheet } from '../sheet'
import { SECTION } from './model'

/** The room around the nut: measured at stations along the screw, judged, and cut where it must be. */
export const nutRoom = defineSheet({
  id: 'nutRoom',
  stage: 'room',
  order: 30,
  loads: 'stage',
  title: 'Room around the nut',
  fields: { section: SECTION },
})
