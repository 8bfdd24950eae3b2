import { choice, flag, length, plain, type RowOf, rows, words } from '../../field/field'
import { PROPERTY_CLASSES, TAPPED_MATERIALS } from './fastener'
import { THREAD_NAMES } from './thread'

/** Bolted joints of the conversion. */
export const JOINTS = rows('Joint', {
  label: words('What is held', 80, 'Joint'),
  thread: choice('Thread', THREAD_NAMES, { blank: 'M6' }),
  material: choice('Tapped in', TAPPED_MATERIALS, { blank: 'cast-iron' }),
  propertyClass: choice('Property class', PROPERTY_CLASSES, { blank: '8.8' }),
  gripMm: length('Grip', [0, 500], { orNone: true }),
  washerMm: length('Washer', [0, 20], { blank: 1.6 }),
  threadDepthMm: length('Depth of the thread', [0, 300], { orNone: true }),
  blind: flag('Blind', true),
  /** Whether it screws into a nut in the slot of an extrusion, one for each screw, instead of a tapped hole. */
  slotNuts: flag('Slot nuts'),
  count: plain('How many', [1, 200], { whole: true, orNone: true }),
  /** Length of the screws that came with the part; none where none did. */
  suppliedMm: length('Length that came with it', [1, 500], { orNone: true }),
})
export type BoltedJoint = RowOf<typeof JOINTS>

declare module '../../document/axis' {
  interface SheetFields {
    joints: BoltedJoint[]
  }
}
