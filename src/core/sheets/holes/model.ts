import { choice, length, type RowOf, rows, words } from '../../field/field'

/** What a hole is enlarged for: something passes through it, or something is pressed into it. */
export const HOLE_USES = ['clearance', 'seat'] as const

const measured = { orNone: true } as const

/** Holes of the casting that are bored larger. */
export const HOLES = rows('Hole', {
  label: words('Hole', 80),
  use: choice('For', HOLE_USES, {
    words: { clearance: 'passage', seat: 'seat' },
  }),
  existingDiameterMm: length('Hole as it is', [0, 500], measured),
  requiredDiameterMm: length('Hole wanted', [0.5, 500], measured),
  centreOffsetMm: length('New centre off the old one', [0, 200], measured),
  edgeDistanceMm: length('To the nearest edge', [0, 1000], measured),
  minimumWallMm: length('Wall to keep', [0, 100], { blank: 6 }),
  depthMm: length('Depth', [0, 1000], measured),
})
export type Hole = RowOf<typeof HOLES>

declare module '../../document/axis' {
  interface SheetFields {
    holes: Hole[]
  }
}
