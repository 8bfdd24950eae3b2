import Papa from 'papaparse'
import { ORDER_STATES, type OrderState } from '../document/job'
import type { OrderLine } from '../orders/orders'

const COLUMNS = ['key', 'what', 'count', 'axes', 'neededBy', 'priceEur', 'leadDays', 'state'] as const

/** Writes an order list as CSV; no cell starts with what a spreadsheet would run. */
export function writeOrdersCsv(lines: readonly OrderLine[]): string {
  const data = lines.map(line =>
    COLUMNS.map(column => (column === 'axes' ? line.axes.join(' ') : String(line[column] ?? ''))),
  )
  return `\ufeff${Papa.unparse({ fields: [...COLUMNS], data }, { newline: '\r\n', escapeFormulae: true })}\r\n`
}

export interface OrdersFile {
  states: { key: string; state: OrderState }[]
  wrong: { line: number; got: string; takes: string }[]
}

/**
 * Reads what a builder has noted in an order list: the state of each line that this job has.
 *
 * @param known keys of the job's list
 * @throws Error when the file has no columns `key` and `state`
 */
export function readOrdersCsv(text: string, known: ReadonlySet<string>): OrdersFile {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    preview: 5000,
  })
  const fields = meta.fields ?? []
  if (!fields.includes('key') || !fields.includes('state'))
    throw new Error(
      'Line 1 must name the columns key and state; save the list as a file to see how it looks.',
    )
  const result: OrdersFile = { states: [], wrong: [] }
  for (const [index, row] of data.entries()) {
    const key = (row.key ?? '').trim()
    const state = ORDER_STATES.find(one => one === (row.state ?? '').trim())
    if (!known.has(key))
      result.wrong.push({ line: index + 2, got: key || 'no key', takes: 'a key of this list' })
    else if (!state)
      result.wrong.push({
        line: index + 2,
        got: row.state || 'nothing',
        takes: `one of ${ORDER_STATES.join(', ')}`,
      })
    else result.states.push({ key, state })
  }
  return result
}
