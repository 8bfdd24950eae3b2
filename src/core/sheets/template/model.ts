import { length, type RowOf, rows, words } from '../../field/field'

const from = (label: string) => length(label, [-500, 500], { blank: 20 })

/** Holes of the nut bracket, from the screw axis: x to the right, y up, seen from the fixed end. */
export const BRACKET_HOLES = rows('Bracket hole', {
  label: words('Hole', 40),
  xMm: from('To the right'),
  yMm: from('Up'),
  diameterMm: length('Diameter', [0.5, 100], { blank: 5.5 }),
})
export type BracketHole = RowOf<typeof BRACKET_HOLES>

declare module '../../document/axis' {
  interface SheetFields {
    bracketHoles: BracketHole[]
  }
}
