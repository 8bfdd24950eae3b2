import { length, record, type ValueOf } from '../../field/field'

const metal = (label: string) =>
  length(label, [0, 500], {
    orNone: true,
    help: 'From the inner face of the block to the shoulder of its bearings: the length of the block less bearings and cover. A depth gauge through the bore reads it.',
  })

/** How much of each block lies in front of its bearings: what a recess can go into. */
export const RECESS_METAL = record('Metal for a recess', {
  fixedMm: metal('Metal before the bearings, fixed end'),
  farMm: metal('Metal before the bearings, far end'),
})
export type RecessMetal = ValueOf<typeof RECESS_METAL>

declare module '../../document/axis' {
  interface SheetFields {
    recessMetal: RecessMetal
  }
}
