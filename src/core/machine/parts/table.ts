/**
 * Parts written one to a line, in the order of their columns; the parts' tests check every field.
 *
 * @example rowsOf<{ id: string; boreMm: number }>(['id', 'boreMm'], [['back-12', 12]]) // [{ id: 'back-12', boreMm: 12 }]
 */
export const rowsOf = <T extends object>(
  columns: readonly (keyof T & string)[],
  rows: readonly (readonly (string | number)[])[],
): T[] =>
  rows.map(row => Object.fromEntries(columns.map((column, index) => [column, row[index]])) as unknown as T)
