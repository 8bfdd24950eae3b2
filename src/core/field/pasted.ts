import { readClock } from '../units/clock'
import { parseQuantity } from '../units/parse'
import { say } from '../units/print'
import type { Unit, UnitSystem } from '../units/quantity'
import { isDay } from './dates'
import type { Field, Fields } from './field'

type Cell = { ok: true; value: unknown } | { ok: false; message: string }

function readCell(field: Field, text: string, units: UnitSystem, typedIn?: Unit): Cell {
  const refuse = (takes: string): Cell => ({ ok: false, message: `Got “${text}”. Takes ${takes}.` })
  switch (field.is) {
    case 'number': {
      if (text === '') return field.orNone ? { ok: true, value: null } : refuse('a number')
      const unit = field.quantity === 'smallLength' ? typedIn : undefined
      const read = parseQuantity(text, field.quantity, units, unit)
      if (!read.ok) return read
      const { min, max, quantity } = field
      if (read.value < min || read.value > max)
        return refuse(`${say(min, quantity, units)} to ${say(max, quantity, units)}`)
      return { ok: true, value: field.whole ? Math.round(read.value) : read.value }
    }
    case 'words':
      return text.length <= field.most && (text !== '' || field.orNone)
        ? { ok: true, value: text || null }
        : refuse(`1 to ${field.most} characters`)
    case 'choice': {
      const wordsOf = (one: string | number) => [String(one), field.words?.[one] ?? String(one)]
      const found = field.of.find(one =>
        wordsOf(one).some(words => words.toLowerCase() === text.toLowerCase()),
      )
      if (found !== undefined) return { ok: true, value: found }
      return text === '' && field.orNone
        ? { ok: true, value: null }
        : refuse(field.of.map(one => field.words?.[one] ?? one).join(', '))
    }
    case 'day':
      return isDay(text) ? { ok: true, value: text } : refuse('a day such as 2026-11-26')
    case 'clock': {
      const minute = readClock(text)
      return minute === null ? refuse('a time such as 19:30') : { ok: true, value: minute }
    }
    default:
      return refuse('nothing that can be pasted')
  }
}

/** Rows that were pasted, or what is wrong with them. */
export type PastedRows = { ok: true; rows: Record<string, unknown>[] } | { ok: false; message: string }

/**
 * Reads lines and columns that were copied from another table into the columns of a table from one on: all or none.
 *
 * @param from the first column that they go into; columns beyond the last one are refused
 * @param units what figures are in that have no unit of their own
 * @param typedIn the same for small lengths, where readings are typed in another
 */
export function readPastedRows(
  fields: Fields,
  from: string,
  cells: readonly (readonly string[])[],
  units: UnitSystem,
  typedIn?: Unit,
): PastedRows {
  const keys = Object.keys(fields)
  const into = keys.slice(Math.max(0, keys.indexOf(from)))
  const rows: Record<string, unknown>[] = []
  for (const [index, line] of cells.entries()) {
    const where = `Line ${index + 1} of what was pasted`
    if (line.length > into.length)
      return {
        ok: false,
        message: `${where} has ${line.length} columns; there are ${into.length} from here on. Nothing was taken.`,
      }
    const row: Record<string, unknown> = {}
    for (const [column, text] of line.entries()) {
      const key = into[column] as string
      const field = fields[key] as Field
      const cell = readCell(field, text, units, typedIn)
      if (!cell.ok)
        return {
          ok: false,
          message: `${where}, ${field.label.toLowerCase()}: ${cell.message} Nothing was taken.`,
        }
      row[key] = cell.value
    }
    rows.push(row)
  }
  return { ok: true, rows }
}
