import { choice, length, type RowOf, rows, words } from '../../field/field'

/** What a hole is enlarged for: something passes through it, or something is pressed into it. */
export const HOLE_USES = ['clearance', 'seat'] as const

const measured = (symbol: string) => ({ orNone: true, symbol }) as const

/** Holes of the casting that are bored larger. */
export const HOLES = rows('Hole', {
  label: words('Hole', 80),
  use: choice('For', HOLE_USES, {
    words: { clearance: 'passage', seat: 'seat' },
  }),
  existingDiameterMm: length('Hole as it is', [0, 500], measured('d0')),
  requiredDiameterMm: length('Hole wanted', [0.5, 500], measured('d')),
  centreOffsetMm: length('New centre off the old one', [0, 200], measured('e')),
  edgeDistanceMm: length('To the nearest edge', [0, 1000], measured('edge')),
  minimumWallMm: length('Wall to keep', [0, 100], { blank: 6, symbol: 'wmin' }),
  depthMm: length('Depth', [0, 1000], { orNone: true }),
})
export type Hole = RowOf<typeof HOLES>

declare module '../../document/axis' {
  interface SheetFields {
    holes: Hole[]
  }
}
