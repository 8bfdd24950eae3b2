import { object, type Schema, ValidationError } from 'yup'
import type { Change } from '../document/edit'
import type { Job, LogEntry } from '../document/job'
import { migrate } from '../document/migrations'
import { SCHEMA_VERSION } from '../document/version'
import { gotAndTakes } from '../field/schema'
import { changeSchema, entrySchema, jobSchema } from '../sheets/schema'
import type { JobFile } from './writeJobFile'

/** A file that cannot be taken; the message names what is wrong and where. */
export class JobFileError extends Error {
  override name = 'JobFileError'
}

const MEGABYTE = 1024 * 1024
/** Far above any real job; a file beyond it is not one. */
export const LARGEST_FILE_BYTES = 32 * MEGABYTE
const MOST_ROWS = 100_000

/**
 * Reads a job file. Everything is checked before anything is returned.
 *
 * @param text the file's text
 * @throws JobFileError that names what is wrong and where
 */
export function readJobFile(text: string): JobFile {
  if (text.length > LARGEST_FILE_BYTES)
    throw new JobFileError(
      `The file has ${Math.ceil(text.length / MEGABYTE)} MB; a job file has at most ${LARGEST_FILE_BYTES / MEGABYTE} MB.`,
    )
  const file = parse(text)
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
  const stored = guard(() =>
    migrate({
      job: file.job as Record<string, unknown>,
      history: isOld ? plainRows('history', file.history) : [],
    }),
  )
  const job = check<Job>('job', jobSchema, stored.job)
  const ids = job.axes.map(axis => axis.id)
  if (ids.length === 0) throw new JobFileError('job.axes: got an empty list, takes at least one axis')
  if (new Set(ids).size < ids.length) throw new JobFileError('job.axes: two axes have the same id')
  const entries = rows<LogEntry>('entries', entrySchema, file.entries, job.id)
  const changes = rows<Change>('history', changeSchema, isOld ? stored.history : file.history, job.id)
  return { format: 'dusk-bench-job', job, entries, history: changes }
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
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error)
    // Nothing was wrong up to the end: the rest is missing. How an engine says so differs.
    const end = text.trimEnd().length
    const [, position] = /position (\d+)/.exec(reason) ?? []
    const ranOut = Number(position) >= end || /unexpected end|end of data|unterminated/i.test(reason)
    const cut = /^\s*\{/.test(text) && (ranOut || !text.trimEnd().endsWith('}'))
    throw new JobFileError(
      `The file is not readable as JSON: ${reason}.${cut ? ' It looks cut short: copy it again from where it came.' : ''}`,
    )
  }
}

function rows<T extends { id: string; jobId: string }>(
  name: string,
  schema: Schema,
  value: unknown,
  jobId: string,
): T[] {
  if (!Array.isArray(value) || value.length > MOST_ROWS)
    throw new JobFileError(gotAndTakes(`a list of at most ${MOST_ROWS}`)({ path: name, value }))
  const ids = new Set<string>()
  return value.map((row, index) => {
    const path = `${name}[${index}]`
    const checked = check<T>(path, schema, row)
    if (checked.jobId !== jobId)
      throw new JobFileError(`${path}.jobId: got ${checked.jobId}, takes ${jobId}, the id of the job`)
    if (ids.has(checked.id)) throw new JobFileError(`${path}.id: got ${checked.id} a second time`)
    ids.add(checked.id)
    return checked
  })
}

function check<T>(path: string, schema: Schema, value: unknown): T {
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

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
