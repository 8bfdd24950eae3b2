import Papa from 'papaparse'
import { gotWords } from '../document/parts/checkPart'

import type { Table } from './workbook'

/** A CSV file that cannot be read as a whole; the message says why. */
export class CsvFileError extends Error {
  override name = 'CsvFileError'
}

/** How a CSV file is written: what stands between its columns, and before the decimals of its figures. */
export const CSV_STYLES = {
  comma: { separator: ',', decimal: '.', label: 'commas, 1.5' },
  semicolon: { separator: ';', decimal: ',', label: 'semicolons, 1,5' },
  tab: { separator: '\t', decimal: '.', label: 'tabs, 1.5' },
  tabComma: { separator: '\t', decimal: ',', label: 'tabs, 1,5' },
} as const
export type CsvStyle = keyof typeof CSV_STYLES
export const isCsvStyle = (text: string): text is CsvStyle => Object.hasOwn(CSV_STYLES, text)

/** The style that a spreadsheet of a language opens by itself. */
export const usualCsvStyle = (decimal: string): CsvStyle => (decimal === ',' ? 'semicolon' : 'comma')

const MEGABYTE = 1024 * 1024
/** Far above any list that a job takes or gives. */
const LARGEST_BYTES = 8 * MEGABYTE

/** Refuses a file that is too large, before it is read. @throws CsvFileError that says how large it is */
export function refuseLargeCsv(bytes: number): void {
  if (bytes > LARGEST_BYTES)
    throw new CsvFileError(
      `The file has ${Math.ceil(bytes / MEGABYTE)} MB; such a file has at most ${LARGEST_BYTES / MEGABYTE} MB. Split it, or take out rows that this machine has no use for.`,
    )
}

/** As many digits as a spreadsheet keeps. */
const DIGITS = 15
/** A figure without the dust of binary sums. @example tidyFigure(19.200000000000003) // 19.2 */
export const tidyFigure = (value: number): number => Number(value.toPrecision(DIGITS))

/** What a spreadsheet would run; a figure with its sign is none. */
const RUNS = /^(?![+-]?[\d.,]+(e[+-]?\d+)?$)[=+\-@\t\r]/i

/**
 * Writes rows as CSV that a spreadsheet opens and gives back unchanged: figures without the dust of binary sums, and no cell
 * that it would run.
 */
export function writeCsv(
  fields: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
  style: CsvStyle,
): string {
  const { separator, decimal } = CSV_STYLES[style]
  const data = rows.map(row =>
    row.map(cell =>
      typeof cell === 'number' ? String(tidyFigure(cell)).replace('.', decimal) : (cell ?? ''),
    ),
  )
  const text = Papa.unparse(
    { fields: [...fields], data },
    { newline: '\r\n', delimiter: separator, escapeFormulae: RUNS },
  )
  // The mark at the start tells a spreadsheet that the text is Unicode.
  return `\ufeff${text}\r\n`
}

/** A table as CSV. */
export const tableCsv = (
  { fields, rows }: Pick<Table, 'fields' | 'rows'>,
  style: CsvStyle = 'comma',
): string => writeCsv(fields, rows, style)

export interface CsvRow {
  /** Of the file, on which the row starts. */
  line: number
  cells: string[]
  /** The same as they stand in the file: words that look like a figure stay words. */
  asWritten: string[]
}

/** A first line by which a spreadsheet is told what separates the columns. */
const SEPARATOR_LINE = /^\s*"?sep=(.)"?\s*(\r\n|\r|\n|$)/i

/** What separates the columns: read off the heading row, where no name has a comma in it. */
function separatorOf(text: string): string {
  const head = text.trimStart().split(/[\r\n]/, 1)[0] ?? ''
  const counts = [',', ';', '\t'].map(sign => ({ sign, count: head.split(sign).length }))
  return counts.reduce((most, one) => (one.count > most.count ? one : most)).sign
}

/** A figure as such a file has it: in tens, nothing else. @example figureIn('0x1F') // null */
export function figureIn(text: string): number | null {
  const value = /^[+-]?(\d+(\.\d*)?|\.\d+)(e[+-]?\d+)?$/i.test(text) ? Number(text) : Number.NaN
  return Number.isFinite(value) ? value : null
}

/** The place of the first column that is headed by one of the names, however they are written. */
export const columnOf = (head: CsvRow, ...names: readonly string[]): number => {
  const wanted = names.map(name => name.toLowerCase())
  return head.cells.findIndex(cell => wanted.includes(cell.toLowerCase()))
}

/** The minus sign of typesetters, before a figure. */
const MINUS = /^\u2212(?=\s*[\d.,])/

/**
 * The rows of a CSV text, whatever separates its columns, with the heading row first; empty ones are left out.
 *
 * Where semicolons or tabs separate, a comma within a figure is for its decimals, and such figures are given with a point;
 * a figure with a point before three digits among them could be read two ways and is given with both, which no field takes.
 *
 * @param most rows beside the heading
 * @param what the file holds, in words, such as `parts`
 * @throws CsvFileError where the file is too large, empty, or has more rows
 */
export function readCsv(text: string, most: number, what: string): { head: CsvRow; rows: CsvRow[] } {
  refuseLargeCsv(text.length)
  const unmarked = text.replace(/^\ufeff/, '')
  const [told = '', said] = SEPARATOR_LINE.exec(unmarked) ?? []
  const plain = unmarked.slice(told.length)
  const separator = said ?? separatorOf(plain)
  const all: CsvRow[] = []
  let from = 0
  let line = told === '' ? 1 : told.split(/\r\n|\r|\n/).length
  Papa.parse<string[]>(plain, {
    delimiter: separator,
    // One more than the most, and the heading: enough to know that there are too many.
    preview: most + 2,
    step({ data, meta }) {
      if (data.some(cell => cell.trim() !== '')) {
        const asWritten = data.map(cell => cell.trim())
        all.push({ line, cells: asWritten.map(cell => cell.replace(MINUS, '-')), asWritten })
      }
      line += plain.slice(from, meta.cursor).split(/\r\n|\r|\n/).length - 1
      from = meta.cursor
    },
  })
  const [head, ...rows] = all
  if (!head) throw new CsvFileError('The file is empty.')
  if (rows.length > most)
    throw new CsvFileError(
      `The file has more than ${most} ${what}; it takes ${most}. Split it, or take out rows that this machine has no use for.`,
    )
  const hasCommas = separator !== ',' && rows.some(({ cells }) => cells.some(cell => WITH_COMMA.test(cell)))
  if (!hasCommas) return { head, rows }
  return { head, rows: rows.map(row => ({ ...row, cells: row.cells.map(pointed) })) }
}

/** A figure with a comma, and what may follow it, such as its unit. */
const WITH_COMMA = /^([+-]?\d+),(\d+)(?=(\s*[^\d\s,.:]+)?$)/
/** In a file whose figures have commas, a point before three digits is nobody knows what: it stays for the reader to refuse. */
const pointed = (cell: string): string =>
  /^[+-]?[1-9]\d{0,2}\.\d{3}$/.test(cell)
    ? `${cell} (or ${cell.replace('.', '')})`
    : cell.replace(WITH_COMMA, '$1.$2')

/** Something wrong in a file: where, what was got, and what is taken there. */
export interface CsvProblem {
  line: number
  /** The column as a spreadsheet names it, and its heading. */
  column: string
  got: string
  takes: string
}

/** A column as a spreadsheet letters it. @example columnLetter(27) // 'AB' */
const columnLetter = (index: number): string =>
  (index >= 26 ? columnLetter(Math.floor(index / 26) - 1) : '') + String.fromCharCode(65 + (index % 26))

/** A problem of a row, at a column by its place and its heading. */
export const problemAt = (
  line: number,
  index: number,
  heading: string | undefined,
  got: string,
  takes: string,
): CsvProblem => ({
  line,
  column: `${columnLetter(index)} ${heading ?? ''}`.trim(),
  got: gotWords(got),
  takes,
})
