import { isEqual } from 'es-toolkit'
import { PART_KINDS, type PartKind } from '../document/kinds'
import { gotWords, ID_TAKES } from '../document/parts/checkPart'
import { fieldsOf } from '../document/parts/fields'
import { idFor } from '../document/parts/partId'
import { curveText, readPart } from '../document/parts/readPart'
import type { OwnParts, PartOf, PartsList } from '../document/parts/types'
import { MOST_SHOP_PARTS } from '../machine/parts'
import {
  CsvFileError,
  type CsvProblem,
  type CsvRow,
  type CsvStyle,
  problemAt,
  readCsv,
  tidyFigure,
  writeCsv,
} from './csv'

export interface GoodRow<K extends PartKind = PartKind> {
  line: number
  part: PartOf[K]
  /** Whether the job does not have it yet, has it with other figures, or has it just so. */
  is: 'new' | 'changed' | 'same'
}
export interface PartsFile<K extends PartKind = PartKind> {
  kind: K
  good: GoodRow<K>[]
  wrong: CsvProblem[]
  /** Headings that are no field of such a part: their columns are left out. */
  leftOut: string[]
}

const columnsOf = (kind: PartKind): string[] => ['id', ...fieldsOf(kind).map(([name]) => name)]
/** What a row can do without. */
const OPTIONAL = new Set(['id', 'maker', 'curve', 'f0', 'massKg', 'leadDays', 'stock'])
const isOptional = (column: string) => OPTIONAL.has(column)
/** Columns that hold words, also where these look like a figure. */
const isWords = (kind: PartKind, column: string | null | undefined): boolean =>
  column === 'id' || fieldsOf(kind).some(([name, field]) => name === column && field.is === 'words')

/** A maker that nobody wrote down. */
const NO_MAKER = 'not named'

/**
 * Writes parts of one kind as a CSV file: a heading row of field names with their units, then a part a row.
 *
 * @example writePartsCsv('coupler', [coupler], 'comma').split('\r\n')[0] // '\ufeffid,name,maker,priceEur,type,hub,...'
 */
export function writePartsCsv<K extends PartKind>(
  kind: K,
  parts: readonly PartOf[K][],
  style: CsvStyle = 'comma',
): string {
  const columns = columnsOf(kind)
  const rows = parts.map(part =>
    columns.map(column => {
      const value = (part as unknown as Record<string, unknown>)[column]
      if (column === 'curve') return curveText(value as PartOf['motor']['curve'], ' ')
      return typeof value === 'number' || value === null ? value : String(value)
    }),
  )
  return writeCsv(columns, rows, style)
}

/** The kind of part whose fields a heading row names most of. */
function kindOf(headings: string[]): PartKind {
  const named = new Set(headings.map(heading => heading.toLowerCase()))
  const share = (kind: PartKind) => {
    const own = fieldsOf(kind).map(([name]) => name.toLowerCase())
    return own.filter(name => named.has(name)).length / own.length
  }
  const [best] = PART_KINDS.toSorted((a, b) => share(b) - share(a))
  if (!best || share(best) < 0.4)
    throw new CsvFileError(
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
 * @param onProgress told now and then what share of the rows is read
 * @throws CsvFileError when the file as a whole cannot be read: too large, too long, no heading row
 */
export function readPartsCsv(
  text: string,
  ownParts: OwnParts,
  shipped: PartsList,
  onProgress: (share: number) => void = () => {},
): PartsFile {
  const { head, rows } = readCsv(text, MOST_SHOP_PARTS, 'parts of a kind')
  const headings = head.cells
  const kind = kindOf(headings)
  const columns = columnsOf(kind)
  const columnOf = headings.map(heading =>
    columns.find(column => column.toLowerCase() === heading.toLowerCase()),
  )
  const leftOut = headings.filter((heading, index) => heading !== '' && columnOf[index] === undefined)
  const lacking = columns.filter(column => !isOptional(column) && !columnOf.includes(column))
  if (lacking.length > 0) throw new CsvFileError(missing(lacking, leftOut))
  return { kind, leftOut, ...readRows(kind, rows, columnOf, ownParts, shipped, onProgress) }
}

/** Whether two parts say the same, but for the dust of binary sums, which no file keeps. */
const isSame = (a: unknown, b: unknown): boolean => isEqual(tidied(a), tidied(b))
const tidied = (part: unknown): unknown =>
  JSON.parse(JSON.stringify(part), (_, value) => (typeof value === 'number' ? tidyFigure(value) : value))

/** So many rows are read between two words on how far it is. */
const ROWS_A_STEP = 500

function readRows<K extends PartKind>(
  kind: K,
  rows: CsvRow[],
  columnOf: (string | undefined)[],
  ownParts: OwnParts,
  shipped: PartsList,
  onProgress: (share: number) => void,
): Pick<PartsFile<K>, 'good' | 'wrong'> {
  const here = new Map((ownParts[kind] as readonly PartOf[K][]).map(part => [part.id, part]))
  const ships = shipped[kind] as ReadonlyMap<string, PartOf[K]>
  const taken = new Set([...here.keys(), ...ships.keys()])
  const inFile = new Map<string, number>()
  const good: GoodRow<K>[] = []
  const wrong: CsvProblem[] = []
  const holdsWords = columnOf.map(column => isWords(kind, column))
  for (const [index, { line, cells, asWritten }] of rows.entries()) {
    if (index % ROWS_A_STEP === 0) onProgress(index / rows.length)
    const say = (index: number, got: string, takes: string) =>
      wrong.push(problemAt(line, index < 0 ? columnOf.length : index, columnOf[index], got, takes))
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
      const text = (holdsWords[index] ? asWritten : cells)[index]?.trim() ?? ''
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
      if (isSame(ships.get(id), part)) good.push({ line, part, is: 'same' })
      else
        say(
          columnOf.indexOf('id'),
          id,
          'an id of its own, or none: a part that ships with the app has this one',
        )
    } else
      good.push({ line, part, is: here.has(id) ? (isSame(here.get(id), part) ? 'same' : 'changed') : 'new' })
    inFile.set(id, line)
    taken.add(id)
  }
  return { good, wrong }
}
