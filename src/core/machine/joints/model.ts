import { choice, choiceOrNone, flag, length, plain, type RowOf, rows, words } from '../../field/field'
import { THREAD_NAMES } from './threadTable'

export const TAPPED_MATERIALS = ['steel', 'cast-iron', 'aluminium'] as const
export type TappedMaterial = (typeof TAPPED_MATERIALS)[number]
/** Metric classes, and those that unified screws are sold in. */
export const PROPERTY_CLASSES = ['8.8', '10.9', '12.9', 'A2-70', 'Grade 5', 'Grade 8'] as const
export type PropertyClass = (typeof PROPERTY_CLASSES)[number]

/** The joints that every drive has. */
export const JOINTS_OF_DRIVE = ['nut', 'fixedBlock', 'farBlock', 'screwHub', 'motorFace', 'motorHub'] as const
export type DriveJoint = (typeof JOINTS_OF_DRIVE)[number]
export const JOINT_WORDS: Readonly<Record<DriveJoint, string>> = {
  nut: 'Nut to its bracket',
  fixedBlock: 'Fixed block to the casting',
  farBlock: 'Far block to the casting',
  screwHub: 'Coupler or pulley on the screw',
  motorFace: 'Motor face to its mount',
  motorHub: 'Coupler or pulley on the motor shaft',
}

/** What a joint may be said to be: one of the drive, or what the nut's bracket hangs on. */
export const HELD_JOINTS = [...JOINTS_OF_DRIVE, 'bracket'] as const
const HELD_WORDS = { ...JOINT_WORDS, bracket: 'Nut bracket to the slide' }

/** Bolted joints of the conversion. */
export const JOINTS = rows('Joint', {
  label: words('What is held', 80, 'Joint'),
  /** Which joint of the drive it is, so that the steps of the build know its screws; none where it is another. */
  holds: choiceOrNone('In the drive', HELD_JOINTS, HELD_WORDS),
  thread: choice('Thread', THREAD_NAMES, { blank: 'M6' }),
  material: choice('Tapped in', TAPPED_MATERIALS, { blank: 'cast-iron' }),
  propertyClass: choice('Property class', PROPERTY_CLASSES, { blank: '8.8' }),
  gripMm: length('Grip', [0, 500], { orNone: true }),
  washerMm: length('Washer', [0, 20], { blank: 1.6 }),
  threadDepthMm: length('Depth of the thread', [0, 300], { orNone: true }),
  blind: flag('Blind', true),
  /** Whether it screws into a nut in the slot of an extrusion, one for each screw, instead of a tapped hole. */
  slotNuts: flag('Slot nuts'),
  /** Whether dowels, a step or a key take the force across it, so that it need not hold by friction. */
  located: flag('Dowels, a step or a key'),
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
