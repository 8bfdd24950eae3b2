import type { NumberField } from '../../field/field'
import { readFigure as figureOf } from '../../units/marks'
import { parseQuantity } from '../../units/parse'
import { printField } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import type { PartKind } from '../kinds'
import { type CellUnits, checkPart, gotWords, type PartProblem, takesWords } from './checkPart'
import { fieldsOf, type PartField } from './fields'
import type { PartOf } from './types'

export type ReadPart<K extends PartKind> =
  | { part: PartOf[K]; problems?: undefined }
  | { part?: undefined; problems: PartProblem[] }

/** What a spreadsheet would run rather than show. */
const FORMULA = /^[=@]|^[+-](?![\d.,])/

type Cell = { value: unknown } | { takes: string }

/**
 * Reads one typed cell of a part.
 *
 * @param text what was typed: a figure with or without its unit, a choice, words, or a curve
 * @example readCell(PART_FIELDS.screw.leadMm, '0.2 in', 'as named') // { value: 5.08 }
 */
export function readCell(field: PartField, text: string, units: CellUnits): Cell {
  const typed = text.trim()
  if (FORMULA.test(typed)) return { takes: `${takesWords(field, units)}; a formula is not worked out here` }
  switch (field.is) {
    case 'words':
    case 'choice':
      return { value: typed }
    case 'curve':
      return readCurve(typed) ?? { takes: takesWords(field, units) }
    case 'number':
      return readFigure(field, typed, units)
  }
}

function readFigure(field: NumberField, typed: string, units: CellUnits): Cell {
  if (typed === '' && field.orNone) return { value: null }
  if (units === 'as named') {
    const [, sign, figure = ''] = /^([+-]?)(\S+)$/.exec(typed) ?? []
    const bare = figureOf(figure, 3)
    if (typeof bare === 'number' && Number.isFinite(bare)) return { value: sign === '-' ? -bare : bare }
  }
  const parsed = parseQuantity(typed, field.quantity, units === 'inch' ? 'inch' : 'mm')
  return parsed.ok ? { value: parsed.value } : { takes: takesWords(field, units) }
}

/** Points such as `0:2.2 600:1.9`, or one to a line with anything between speed and torque. */
function readCurve(typed: string): Cell | null {
  if (typed === '') return { value: null }
  const points = typed
    .split(/[\n;]+|\s+(?=[\d.]+\s*:)/)
    .map(line => line.trim())
    .filter(Boolean)
    .map(line => /^([\d.]+)(?:\s*[:,\t]\s*|\s+)([\d.]+)$/.exec(line))
  if (points.some(point => point === null)) return null
  const curve = points.map(point => ({ speedRpm: Number(point?.[1]), torqueNm: Number(point?.[2]) }))
  return curve.every(({ speedRpm, torqueNm }) => Number.isFinite(speedRpm + torqueNm))
    ? { value: curve }
    : null
}

/**
 * Reads a part that was typed cell by cell, in a form or as a row of a file.
 *
 * @param id of the part that comes of it
 * @param cells texts by the names of the fields; what is not there counts as empty
 * @param kept values of fields that were left as they stood, to the last digit
 * @returns the part, or what is wrong with it field by field
 */
export function readPart<K extends PartKind>(
  kind: K,
  id: string,
  cells: Readonly<Record<string, string>>,
  units: CellUnits,
  kept: Readonly<Record<string, unknown>> = {},
): ReadPart<K> {
  const part: Record<string, unknown> = { id }
  const problems: PartProblem[] = []
  for (const [name, field] of fieldsOf(kind)) {
    const text = cells[name] ?? ''
    const cell = name in kept ? { value: kept[name] } : readCell(field, text, units)
    if ('value' in cell) part[name] = cell.value
    else problems.push({ field: name, got: gotWords(text.trim()), takes: cell.takes })
  }
  // What could be read is judged all the same, so that one look shows everything that is wrong.
  const unread = new Set(problems.map(({ field }) => field))
  for (const problem of checkPart(kind, part, units))
    if (!unread.has(problem.field))
      problems.push({ ...problem, got: gotWords((cells[problem.field] ?? problem.got).trim()) })
  if (problems.length > 0) return { problems }
  return { part: part as unknown as PartOf[K] }
}

/** A part's torque curve as it is typed: one point to a line in a form, all on one line in a file. */
export const curveText = (
  curve: readonly { speedRpm: number; torqueNm: number }[] | null,
  between: '\n' | ' ',
): string => (curve ?? []).map(({ speedRpm, torqueNm }) => `${speedRpm}:${torqueNm}`).join(between)

/** The cells of a part as a form shows them, in the units of the job. */
export const cellsOf = <K extends PartKind>(
  kind: K,
  part: PartOf[K],
  units: UnitSystem,
): Record<string, string> =>
  Object.fromEntries(
    fieldsOf(kind).map(([name, field]) => {
      const value = (part as unknown as Record<string, unknown>)[name]
      if (field.is === 'curve') return [name, curveText(value as PartOf['motor']['curve'], '\n')]
      if (field.is === 'number' && typeof value === 'number')
        return [name, printField(value, field.quantity, units)]
      return [name, value === null ? '' : String(value)]
    }),
  )
