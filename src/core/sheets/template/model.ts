import { length, type RowOf, rows, words } from '../../field/field'

const from = (label: string) => length(label, [-500, 500], { orNone: true })

/** Holes of the nut bracket, from the screw axis: x to the right, y up, seen from the fixed end. */
export const BRACKET_HOLES = rows('Bracket hole', {
  label: words('Hole', 40),
  xMm: from('To the right'),
  yMm: from('Up'),
  diameterMm: length('Diameter', [0.5, 100], { orNone: true }),
})
export type BracketHole = RowOf<typeof BRACKET_HOLES>

declare module '../../document/axis' {
  interface SheetFields {
    bracketHoles: BracketHole[]
  }
}
