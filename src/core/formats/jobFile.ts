import { visit } from 'jsonc-parser'
import { object, type Schema, ValidationError } from 'yup'
import type { Change } from '../document/edit'
import type { Job, LogEntry } from '../document/job'
import { migrate, type Stored } from '../document/migrations'
import { SCHEMA_VERSION } from '../document/version.generated'
import { beyondBounds } from '../field/bounds'
import { gotAndTakes } from '../field/schema'
import { CHANGE_RULES, ENTRY_RULES, jobSchema, type RowRules } from '../sheets/schema'
import { JobFileError, MOST_ROWS, refuseLargeText } from './jobFileError'
import type { JobFile } from './writeJobFile'

/** Far above the rows of any table. */
const MOST_PLACES = 5000
const MOST_TABLE_ROWS = 600
/** Up to this version rows had no ids, and changes found them by their places. */
const LAST_BY_PLACE = 3
const PROGRESS_EVERY = 2000

/**
 * Reads a job file. Everything is checked before anything is returned.
 *
 * @param text the file's text
 * @throws JobFileError that names what is wrong and where
 */
export function readJobFile(text: string): JobFile {
  refuseLargeText(text)
  return readJob(parseFile(text))
}

/** A text as JSON, within all bounds. @throws JobFileError */
export function parseFile(text: string): unknown {
  const file = parse(text)
  const beyond = beyondBounds(file)
  if (beyond) throw new JobFileError(beyond)
  return file
}

/**
 * What was parsed of a job file, checked.
 *
 * @param onProgress told now and then which share of its rows has been checked
 * @throws JobFileError that names what is wrong and where
 */
export function readJob(file: unknown, onProgress: (share: number) => void = () => {}): JobFile {
  if (!isObject(file) || file.format !== 'dusk-bench-job')
    throw new JobFileError('This is not a job file: its first field must be "format": "dusk-bench-job".')
  const extra = Object.keys(file).find(key => !['format', 'job', 'entries', 'history'].includes(key))
  if (extra)
    throw new JobFileError(
      `The file has the unknown field "${extra}"; takes format, job, entries and history.`,
    )
  if (!isObject(file.job))
    throw new JobFileError(gotAndTakes('a job document')({ path: 'job', value: file.job }))
  const version = Number((file.job as { schemaVersion?: unknown }).schemaVersion)
  const isOld = version < SCHEMA_VERSION
  const history = isOld ? plainRows('history', file.history) : []
  const stored = guard(() => broughtUp(file.job as Record<string, unknown>, history, version))
  const job = check<Job>('job', jobSchema, stored.job)
  const entries = rows<LogEntry>('entries', ENTRY_RULES, file.entries, job.id, share => onProgress(share / 2))
  const changes = rows<Change>(
    'history',
    CHANGE_RULES,
    isOld ? stored.history : file.history,
    job.id,
    share => onProgress(0.5 + share / 2),
  )
  return { format: 'dusk-bench-job', job, entries, history: changes }
}

/** An older document brought up to the present version. @throws Error when it is not of the version that it says it is */
function broughtUp(
  job: Record<string, unknown>,
  history: Record<string, unknown>[],
  version: number,
): Stored {
  refuseFarPlaces(history)
  if (version <= LAST_BY_PLACE) refuseLongTables(job.axes, 'job.axes')
  try {
    return migrate({ job, history })
  } catch (error) {
    if (!(error instanceof TypeError || error instanceof RangeError)) throw error
    throw new JobFileError(`job.schemaVersion: got ${version}, but what stands there is not of that version`)
  }
}

/** Changes of the first versions found their rows by places: one far beyond its list would make a list that long. */
function refuseFarPlaces(history: readonly Record<string, unknown>[]): void {
  for (const [index, { patches, inverse }] of history.entries())
    for (const patch of [patches, inverse].flat())
      if (isObject(patch) && Array.isArray(patch.path))
        for (const step of patch.path)
          if (step === 'length' || (typeof step === 'number' && !(step >= 0 && step < MOST_PLACES)))
            throw new JobFileError(
              `history[${index}].patches: got the place ${String(step)} in a list, takes one from 0 to ${MOST_PLACES - 1}`,
            )
}

/** Rows of the first versions are told apart by comparing each with each. */
function refuseLongTables(value: unknown, path: string): void {
  if (Array.isArray(value) && value.length > MOST_TABLE_ROWS)
    throw new JobFileError(gotAndTakes(`a list of at most ${MOST_TABLE_ROWS}`)({ path, value }))
  if (typeof value === 'object' && value !== null)
    for (const [key, inside] of Object.entries(value))
      refuseLongTables(inside, Array.isArray(value) ? `${path}[${key}]` : `${path}.${key}`)
}

/** A list of objects, whatever is in them. */
function plainRows(name: string, value: unknown): Record<string, unknown>[] {
  if (!Array.isArray(value) || value.length > MOST_ROWS || !value.every(isObject))
    throw new JobFileError(gotAndTakes(`a list of at most ${MOST_ROWS}`)({ path: name, value }))
  return value
}

function parse(text: string): unknown {
  if (text.trim() === '') throw new JobFileError('The file is empty.')
  try {
    return JSON.parse(text)
  } catch {
    const at = placeOfFault(text)
    // Nothing was wrong up to the end: the rest is missing.
    const isEnd = at >= text.trimEnd().length
    const isCut = /^\s*\{/.test(text) && (isEnd || !text.trimEnd().endsWith('}'))
    throw new JobFileError(
      `The file is not readable as JSON${isEnd ? '' : `: ${faultWords(text, at)}`}.${isCut ? ' It looks cut short: copy it again from where it came.' : ''}`,
    )
  }
}

/** Where a text stops being JSON; its end where only the rest is missing. */
function placeOfFault(text: string): number {
  let at = text.length
  try {
    const onError = (_: unknown, offset: number) => {
      at = Math.min(at, offset)
    }
    visit(text, { onError }, { disallowComments: true })
  } catch {
    // So many brackets within brackets that it cannot be walked through.
  }
  return at
}

/** @example faultWords('{"a": ]}', 6) // 'line 1, column 7: got “]”' */
function faultWords(text: string, at: number): string {
  const before = text.slice(0, at)
  const line = before.split('\n').length
  const got = String.fromCodePoint(text.codePointAt(at) ?? 32)
  return `line ${line}, column ${at - before.lastIndexOf('\n')}: got ${/\P{C}/u.test(got) && got.trim() ? `“${got}”` : 'a sign that is none'}`
}

function rows<T extends { id: string; jobId: string }>(
  name: string,
  { schema, fits }: RowRules,
  value: unknown,
  jobId: string,
  onProgress: (share: number) => void,
): T[] {
  if (!Array.isArray(value) || value.length > MOST_ROWS)
    throw new JobFileError(gotAndTakes(`a list of at most ${MOST_ROWS}`)({ path: name, value }))
  const ids = new Set<string>()
  return value.map((row, index) => {
    const path = `${name}[${index}]`
    if (index % PROGRESS_EVERY === 0) onProgress(index / value.length)
    const checked = fits(row) ? (row as T) : check<T>(path, schema, row)
    if (checked.jobId !== jobId)
      throw new JobFileError(`${path}.jobId: got ${checked.jobId}, takes ${jobId}, the id of the job`)
    if (ids.has(checked.id)) throw new JobFileError(`${path}.id: got ${checked.id} a second time`)
    ids.add(checked.id)
    return checked
  })
}

/** A value that a schema takes. @throws JobFileError that names what is wrong and where */
export function check<T>(path: string, schema: Schema, value: unknown): T {
  // Wrapped, so that every message carries the place in the file.
  const wrapped = guard(() => object({ [path]: schema }).validateSync({ [path]: value }, { strict: true }))
  return (wrapped as Record<string, T>)[path] as T
}

function guard<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    if (error instanceof ValidationError || error instanceof Error)
      throw new JobFileError(error.message.replace(/^\["|"\]/g, ''))
    throw error
  }
}

export const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
