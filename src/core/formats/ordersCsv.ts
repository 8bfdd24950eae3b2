import { ORDER_STATES, type OrderState } from '../document/job'
import { type OrderLine, totalEurOf } from '../orders/orders'
import { CsvFileError, type CsvProblem, columnOf, problemAt, readCsv } from './csv'
import type { Table } from './workbook'

const COLUMNS = [
  'key',
  'what',
  'lengthsMm',
  'count',
  'axes',
  'neededBy',
  'priceEur',
  'sumEur',
  'leadDays',
  'state',
  'machine',
  'date',
] as const
/** Far above what any machine is built of. */
const MOST_ROWS = 5000

/** The lengths of a line as people read them. @example lengthsWords([{ axis: 'X', count: 2, lengthMm: 639.7 }]) // 'X 2 x 639.7' */
const lengthsWords = (lengths: OrderLine['lengths'] = []): string =>
  lengths
    .map(
      ({ axis, count, lengthMm }) =>
        `${axis} ${count > 1 ? `${count} x ` : ''}${Math.round(lengthMm * 10) / 10}`,
    )
    .join(' / ')

/**
 * An order list as a table: a line for each thing, with its machine and the day, and a last line with what all of it costs.
 *
 * @param day such as `2026-11-26`
 */
export function ordersTable(lines: readonly OrderLine[], machine: string, day: string): Table {
  const rows: (string | number | null)[][] = lines.map(line => [
    line.key,
    line.what,
    lengthsWords(line.lengths),
    line.count,
    line.axes.join(' '),
    line.neededBy,
    line.priceEur,
    line.priceEur === null ? null : line.priceEur * line.count,
    line.leadDays,
    line.state,
    machine,
    day,
  ])
  const lacking = lines.filter(({ priceEur }) => priceEur === null).length
  const total = lacking > 0 ? `Total, without ${lacking} of unknown price` : 'Total'
  rows.push([null, total, null, null, null, null, null, totalEurOf(lines), null, null, machine, day])
  return { name: `Orders ${machine}`, fields: COLUMNS, rows }
}

export interface OrdersFile {
  states: { key: string; state: OrderState }[]
  wrong: CsvProblem[]
}

/**
 * Reads what a builder has noted in an order list, whatever separates its columns: the state of each line that this job has.
 *
 * @param known keys of the job's list
 * @throws CsvFileError when the file is too large or too long, or has no columns `key` and `state`
 */
export function readOrdersCsv(text: string, known: ReadonlySet<string>): OrdersFile {
  const { head, rows } = readCsv(text, MOST_ROWS, 'rows')
  const [keyAt, stateAt] = [columnOf(head, 'key'), columnOf(head, 'state')]
  if (keyAt < 0 || stateAt < 0)
    throw new CsvFileError(
      'Line 1 must name the columns key and state; save the list as a file to see how it looks.',
    )
  const result: OrdersFile = { states: [], wrong: [] }
  const lineOf = new Map<string, number>()
  for (const { line, cells } of rows) {
    const [key, text] = [cells[keyAt] ?? '', cells[stateAt] ?? '']
    // The line of the total.
    if (key === '' && text === '') continue
    const state = ORDER_STATES.find(one => one === text.toLowerCase())
    const before = lineOf.get(key)
    if (!known.has(key)) result.wrong.push(problemAt(line, keyAt, 'key', key, 'a key of this list'))
    else if (before !== undefined)
      result.wrong.push(problemAt(line, keyAt, 'key', key, `each key once: line ${before} has this one`))
    else if (!state)
      result.wrong.push(problemAt(line, stateAt, 'state', text, `one of ${ORDER_STATES.join(', ')}`))
    else result.states.push({ key, state })
    lineOf.set(key, lineOf.get(key) ?? line)
  }
  return result
}
