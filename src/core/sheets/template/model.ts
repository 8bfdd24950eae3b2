import { type RowOf, rows } from '../../field/field'
import { HOLE_ABOUT_SCREW } from '../shared/cuts/holesAboutScrewModel'

/** Holes of the nut bracket, from the screw axis: x to the right, y up, seen from the fixed end. */
export const BRACKET_HOLES = rows('Bracket hole', HOLE_ABOUT_SCREW)
export type BracketHole = RowOf<typeof BRACKET_HOLES>

declare module '../../document/axis' {
  interface SheetFields {
    bracketHoles: BracketHole[]
  }
}
