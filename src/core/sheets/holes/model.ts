import { length, type RowOf, rows, words } from '../../field/field'

/** Holes of the casting that are bored larger. */
export const HOLES = rows('Hole', {
  label: words('Hole', 80),
  existingDiameterMm: length('Hole as it is', [0, 500], { blank: 20 }),
  requiredDiameterMm: length('Hole wanted', [0.5, 500], { blank: 30 }),
  centreOffsetMm: length('New centre off the old one', [0, 200]),
  edgeDistanceMm: length('To the nearest edge', [0, 1000], { blank: 40 }),
  minimumWallMm: length('Wall to keep', [0, 100], { blank: 6 }),
  depthMm: length('Depth', [0, 1000], { blank: 25 }),
})
export type Hole = RowOf<typeof HOLES>

declare module '../../document/axis' {
  interface SheetFields {
    holes: Hole[]
  }
}
