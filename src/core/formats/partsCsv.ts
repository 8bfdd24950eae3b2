import equal from 'fast-deep-equal'
import Papa from 'papaparse'
import { PART_KINDS, type PartKind } from '../document/kinds'
import { gotWords, ID_TAKES } from '../document/parts/checkPart'
import { fieldsOf } from '../document/parts/fields'
import { idFor } from '../document/parts/partId'
import { curveText, readPart } from '../document/parts/readPart'
import type { OwnParts, PartOf, PartsList } from '../document/parts/types'
import { MOST_OWN_PARTS } from '../machine/parts'

/** A parts file of which no row can be read; the message says why. */
export class PartsFileError extends Error {
  override name = 'PartsFileError'
}

/** Something wrong in a file: where, what was got, and what is taken there. */
export interface RowProblem {
  line: number
  /** The column as a spreadsheet names it, and its heading. */
  column: string
  got: string
  takes: string
}
export interface GoodRow<K extends PartKind = PartKind> {
  line: number
  part: PartOf[K]
  /** Whether the job does not have it yet, has it with other figures, or has it just so. */
  is: 'new' | 'changed' | 'same'
}
export interface PartsFile<K extends PartKind = PartKind> {
  kind: K
  good: GoodRow<K>[]
  wrong: RowProblem[]
  /** Headings that are no field of such a part: their columns are left out. */
  leftOut: string[]
}

const MEGABYTE = 1024 * 1024
/** Far above any list that a job takes. */
const LARGEST_PARTS_FILE_BYTES = 8 * MEGABYTE

/** Refuses a parts file that is too large, before it is read. @throws PartsFileError that says how large it is */
export function refuseLargeParts(bytes: number): void {
  if (bytes > LARGEST_PARTS_FILE_BYTES)
    throw new PartsFileError(
      `The file has ${Math.ceil(bytes / MEGABYTE)} MB; a parts file has at most ${LARGEST_PARTS_FILE_BYTES / MEGABYTE} MB. Split it, or take out rows that this machine has no use for.`,
    )
}

const columnsOf = (kind: PartKind): string[] => ['id', ...fieldsOf(kind).map(([name]) => name)]
/** What a row can do without. */
const isOptional = (column: string) => column === 'id' || column === 'maker' || column === 'curve'
/** A maker that nobody wrote down. */
const NO_MAKER = 'not named'

/**
 * Writes parts of one kind as a CSV file: a heading row of field names with their units, then a part a row.
 *
 * No cell starts with what a spreadsheet would run.
 *
 * @example writePartsCsv('coupler', [coupler]).split('\r\n')[0] // '\ufeffid,name,maker,priceEur,type,hub,...'
 */
export function writePartsCsv<K extends PartKind>(kind: K, parts: readonly PartOf[K][]): string {
  const columns = columnsOf(kind)
  const data = parts.map(part =>
    columns.map(column => {
      const value = (part as unknown as Record<string, unknown>)[column]
      if (column === 'curve') return curveText(value as PartOf['motor']['curve'], ' ')
      return value === null ? '' : String(value)
    }),
  )
  // The mark at the start tells a spreadsheet that the text is Unicode.
  return `\ufeff${Papa.unparse({ fields: columns, data }, { newline: '\r\n', escapeFormulae: true })}\r\n`
}

interface Row {
  line: number
  cells: string[]
}

/** What separates the columns: read off the heading row, where no name has a comma in it. */
const delimiterOf = (text: string): string => {
  const head = text.trimStart().split(/[\r\n]/, 1)[0] ?? ''
  const counts = [',', ';', '\t'].map(sign => ({ sign, count: head.split(sign).length }))
  return counts.reduce((most, one) => (one.count > most.count ? one : most)).sign
}

/** The rows of a CSV text with the line on which each starts. */
function rowsOf(text: string): Row[] {
  const rows: Row[] = []
  let from = 0
  let line = 1
  Papa.parse<string[]>(text, {
    delimiter: delimiterOf(text),
    // One more than the most, and the heading: enough to know that there are too many.
    preview: MOST_OWN_PARTS + 2,
    step({ data, meta }) {
      if (data.some(cell => cell.trim() !== '')) rows.push({ line, cells: data })
      line += text.slice(from, meta.cursor).split(/\r\n|\r|\n/).length - 1
      from = meta.cursor
    },
  })
  return rows
}

/** A column as a spreadsheet letters it. @example columnLetter(27) // 'AB' */
const columnLetter = (index: number): string =>
  (index >= 26 ? columnLetter(Math.floor(index / 26) - 1) : '') + String.fromCharCode(65 + (index % 26))

/** The kind of part whose fields a heading row names most of. */
function kindOf(headings: string[]): PartKind {
  const named = new Set(headings.map(heading => heading.toLowerCase()))
  const share = (kind: PartKind) => {
    const own = fieldsOf(kind).map(([name]) => name.toLowerCase())
    return own.filter(name => named.has(name)).length / own.length
  }
  const [best] = PART_KINDS.toSorted((a, b) => share(b) - share(a))
  if (!best || share(best) < 0.4)
    throw new PartsFileError(
      `Line 1 must name the fields of a part, such as name, priceEur, leadMm; got ${gotWords(headings.join(', '))}. Save the parts of a kind as a file to see how it looks.`,
    )
  return best
}

/** The stem of a field's name without its unit, in small letters: "lead" of "leadMm". */
const stem = (name: string) => name.replace(/(Kg)?[A-Z][a-z0-9]*$/, '').toLowerCase()

function missing(columns: string[], leftOut: string[]): string {
  const named = columns.map(column => {
    const like = leftOut.find(
      heading => stem(column) !== '' && heading.toLowerCase().startsWith(stem(column)),
    )
    return like ? `${column} (${like} stands there: give it in the unit of ${column})` : column
  })
  return `Line 1 lacks ${named.length > 1 ? 'the columns' : 'the column'} ${named.join(', ')}.`
}

/**
 * Reads a CSV file of parts of one kind. Rows that are wrong do not keep the others from being taken.
 *
 * Columns may be separated by commas, semicolons or tabs; a figure may carry its unit, such as `0.2 in`, and is
 * else in the unit of its heading.
 *
 * @param ownParts those that the job has already
 * @param shipped the parts list that ships with the app
 * @throws PartsFileError when the file as a whole cannot be read: too large, too long, no heading row
 */
export function readPartsCsv(text: string, ownParts: OwnParts, shipped: PartsList): PartsFile {
  refuseLargeParts(text.length)
  const [head, ...rows] = rowsOf(text.replace(/^\ufeff/, ''))
  if (!head) throw new PartsFileError('The file is empty.')
  if (rows.length > MOST_OWN_PARTS)
    throw new PartsFileError(
      `The file has more than ${MOST_OWN_PARTS} parts; a job takes ${MOST_OWN_PARTS} of a kind. Split it, or take out rows that this machine has no use for.`,
    )
  const headings = head.cells.map(cell => cell.trim())
  const kind = kindOf(headings)
  const columns = columnsOf(kind)
  const columnOf = headings.map(heading =>
    columns.find(column => column.toLowerCase() === heading.toLowerCase()),
  )
  const leftOut = headings.filter((heading, index) => heading !== '' && columnOf[index] === undefined)
  const lacking = columns.filter(column => !isOptional(column) && !columnOf.includes(column))
  if (lacking.length > 0) throw new PartsFileError(missing(lacking, leftOut))
  return { kind, leftOut, ...readRows(kind, rows, columnOf, ownParts, shipped) }
}

function readRows<K extends PartKind>(
  kind: K,
  rows: Row[],
  columnOf: (string | undefined)[],
  ownParts: OwnParts,
  shipped: PartsList,
): Pick<PartsFile<K>, 'good' | 'wrong'> {
  const here = new Map((ownParts[kind] as readonly PartOf[K][]).map(part => [part.id, part]))
  const ships = shipped[kind] as ReadonlyMap<string, PartOf[K]>
  const taken = new Set([...here.keys(), ...ships.keys()])
  const inFile = new Map<string, number>()
  const good: GoodRow<K>[] = []
  const wrong: RowProblem[] = []
  for (const { line, cells } of rows) {
    const say = (index: number, got: string, takes: string) => {
      const letter = columnLetter(index < 0 ? columnOf.length : index)
      wrong.push({ line, column: `${letter} ${columnOf[index] ?? ''}`.trim(), got: gotWords(got), takes })
    }
    const beyond = cells.findIndex((cell, index) => index >= columnOf.length && cell.trim() !== '')
    if (beyond >= 0) {
      say(
        beyond,
        cells[beyond] ?? '',
        'nothing: line 1 has fewer columns. Where numbers have a comma, separate the columns by semicolons',
      )
      continue
    }
    const typed: Record<string, string> = { maker: NO_MAKER }
    for (const [index, column] of columnOf.entries()) {
      const text = cells[index]?.trim() ?? ''
      if (column && !(column === 'maker' && text === '')) typed[column] = text.replace(/^'(?=[=+\-@])/, '')
    }
    const id = typed.id || idFor(typed.name ?? '', taken)
    const { part, problems } = readPart(kind, id, typed, 'as named')
    for (const { field, got, takes } of problems ?? [])
      say(columnOf.indexOf(field), got === 'nothing' ? '' : got, field === 'id' ? ID_TAKES : takes)
    if (!part) continue
    const before = inFile.get(id)
    if (before !== undefined) say(columnOf.indexOf('id'), id, `an id of its own: line ${before} has this one`)
    else if (ships.has(id) && !here.has(id)) {
      if (equal(ships.get(id), part)) good.push({ line, part, is: 'same' })
      else
        say(
          columnOf.indexOf('id'),
          id,
          'an id of its own, or none: a part that ships with the app has this one',
        )
    } else
      good.push({ line, part, is: here.has(id) ? (equal(here.get(id), part) ? 'same' : 'changed') : 'new' })
    inFile.set(id, line)
    taken.add(id)
  }
  return { good, wrong }
}
