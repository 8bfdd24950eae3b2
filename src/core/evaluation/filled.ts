import type { Stage } from '../document/stages'
import type { Fields } from '../field/field'
import type { SheetId } from './ids'
import { NotKnown } from './notKnown'

/** A row whose measured fields are all filled in. */
export type Filled<T, K extends keyof T> = T & { [P in K]: NonNullable<T[P]> }

/** Whether nothing is missing of what a row needs. */
export const isFilled = <T extends object, K extends keyof T>(
  row: T,
  needs: readonly K[],
): row is Filled<T, K> => needs.every(key => row[key] !== null)

/** What a row still needs, in the words of its fields: "hole as it is, to the nearest edge". */
export const gapWords = <T extends object>(
  row: T,
  needs: readonly (keyof T & string)[],
  fields: Fields,
): string =>
  needs
    .filter(key => row[key] === null)
    .map(key => (fields[key]?.label ?? key).toLowerCase())
    .join(', ')

/** Where something that is missing is entered, and what it is called there. */
export interface Place {
  sheet: SheetId
  stage: Stage
  name: string
}

/**
 * A row with all that it needs.
 *
 * @throws NotKnown naming the row and what is not entered yet
 * @example filled(hole, ['depthMm'], HOLES.of, { sheet: 'holes', stage: 'room', name: 'Hole 1' }).depthMm // 25
 */
export function filled<T extends object, K extends keyof T & string>(
  row: T,
  needs: readonly K[],
  fields: Fields,
  { name, ...place }: Place,
): Filled<T, K> {
  if (isFilled(row, needs)) return row
  throw new NotKnown({ ...place, what: `${name}: ${gapWords(row, needs, fields)}` })
}
