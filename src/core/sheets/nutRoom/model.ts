import { choice, length, type RowOf, record, rows, type ValueOf } from '../../field/field'

export const SECTION_SIDES = ['left', 'right', 'ceiling', 'floor'] as const
export type SectionSide = (typeof SECTION_SIDES)[number]

export const SIDE_WORDS: Record<SectionSide, string> = {
  left: 'on the left',
  right: 'on the right',
  ceiling: 'above',
  floor: 'below',
}

const from = (label: string, symbol: string) => length(label, [0, 2000], { orNone: true, symbol })
const wall = (label: string, symbol: string) => length(label, [0, 500], { orNone: true, symbol })

/** The room around the screw axis at places along it, as measured from the fixed block's face. */
export const STATIONS = rows('Station', {
  positionMm: length('Along the screw', [-1000, 20_000]),
  leftMm: from('To the left', 'al'),
  rightMm: from('To the right', 'ar'),
  ceilingMm: from('To the ceiling', 'ac'),
  floorMm: from('To the floor', 'af'),
  wallLeftMm: wall('Wall, left', 'wl'),
  wallRightMm: wall('Wall, right', 'wr'),
  wallCeilingMm: wall('Wall above', 'wc'),
  wallFloorMm: wall('Wall below', 'wf'),
})
export type SectionStation = RowOf<typeof STATIONS>

/** What stands out of the nut and its bracket, each on one side. */
export const PROTRUSIONS = rows(
  'Part that stands out',
  {
    what: choice('What stands out', ['grease fitting', 'screw heads', 'return tubes']),
    standsOutMm: length('Stands out', [0.1, 100], { orNone: true }),
    side: choice('Where', SECTION_SIDES, { words: SIDE_WORDS, blank: 'ceiling' }),
  },
  { most: 8 },
)
export type Protrusion = RowOf<typeof PROTRUSIONS>

/** What is around the nut, and what must be kept. */
export const SECTION = record('Room around the nut', {
  stations: STATIONS,
  /** The nut's bracket or housing, across; none while it is not measured, 0 where the nut itself is the widest. */
  bracketWidthMm: length('Bracket, width across the screw', [0, 1000], { orNone: true }),
  bracketHeightMm: length('Bracket, height across the screw', [0, 1000], { orNone: true }),
  protrusions: PROTRUSIONS,
  /** Spacers under the carriages, which raise the table off the screw. */
  spacersMm: length('Spacers under the carriages', [0, 200]),
  minimumGapMm: length('Gap to keep', [0, 50], { blank: 1.5, symbol: 'gmin' }),
  minimumWallMm: length('Wall to keep', [0, 100], { blank: 6, symbol: 'wmin' }),
})
export type Section = ValueOf<typeof SECTION>
export type SectionField =
  | 'bracketWidthMm'
  | 'bracketHeightMm'
  | 'spacersMm'
  | 'minimumGapMm'
  | 'minimumWallMm'

declare module '../../document/axis' {
  interface SheetFields {
    section: Section
  }
}
