/**
 * The cells of a text that was copied from a table, line by line; null for a text of one cell, which is typed like any.
 *
 * @example cellsOf('5\n6\n') // [['5'], ['6']]
 */
export function cellsOf(text: string): string[][] | null {
  const lines = text.replace(/\r\n?/g, '\n').replace(/\n+$/, '').split('\n')
  const cells = lines.map(line => line.split('\t').map(cell => cell.trim()))
  return cells.length > 1 || (cells[0]?.length ?? 0) > 1 ? cells : null
}

/** Lines and columns as other programs take them from the clipboard. */
export const textOf = (cells: readonly (readonly string[])[]): string =>
  cells.map(line => line.map(cell => cell.replace(/[\t\n\r]+/g, ' ')).join('\t')).join('\n')
