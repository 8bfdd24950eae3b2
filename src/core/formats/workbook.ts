import writeXlsxFile from 'write-excel-file/universal'

/** A table as a file for a spreadsheet has it: its heads, then its rows. */
export interface Table {
  name: string
  fields: readonly string[]
  rows: readonly (readonly (string | number | null)[])[]
}

/** A spreadsheet takes no longer name, and none of these signs. */
const LONGEST_NAME = 31
const sheetName = (name: string) =>
  name
    .replace(/[[\]:*?/\\]/g, ' ')
    .trim()
    .slice(0, LONGEST_NAME) || 'Sheet'

/** A column is about as wide as what stands in it. */
const WIDEST = 60
const widthOf = (table: Table, column: number) =>
  Math.min(
    WIDEST,
    2 + Math.max(...[table.fields, ...table.rows].map(row => String(row[column] ?? '').length)),
  )

/**
 * Writes tables as a workbook (Office Open XML): figures are figures, words are words and never run, and the heads stay in sight.
 *
 * @returns the bytes of an .xlsx file
 */
export async function writeWorkbook(tables: readonly Table[]): Promise<Uint8Array> {
  const book = writeXlsxFile(
    tables.map(table => ({
      sheet: sheetName(table.name),
      stickyRowsCount: 1,
      columns: table.fields.map((_, column) => ({ width: widthOf(table, column) })),
      data: [
        table.fields.map(value => ({ value, type: String, fontWeight: 'bold' as const })),
        ...table.rows.map(row =>
          row.map(value =>
            value === null
              ? null
              : typeof value === 'number'
                ? { value, type: Number }
                : { value, type: String },
          ),
        ),
      ],
    })),
  )
  return new Uint8Array(await (await book.toBlob()).arrayBuffer())
}
