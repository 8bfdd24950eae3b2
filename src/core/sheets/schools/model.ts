import { CHOSEN_PARTS, DRIVE, ENDS, PRELOAD_N } from '../../document/axis'
import { type RowOf, rows, words } from '../../field/field'

/** Drives that are kept to be compared: one of the schools of thought, or one that was tried. */
export const VARIANTS = rows(
  'Drive',
  { name: words('Name', 160), parts: CHOSEN_PARTS, ends: ENDS, drive: DRIVE, preloadN: PRELOAD_N },
  { most: 3 },
)
export type Variant = RowOf<typeof VARIANTS>

declare module '../../document/axis' {
  interface SheetFields {
    variants: Variant[]
  }
}
