import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { demoJobs } from '@/core/demo'
import { takeBack } from '@/core/document/edit'
import type { Job } from '@/core/document/job'
import { driveLine } from '@/core/drawing/driveLine'
import { attempt } from '@/core/evaluation/attempt'
import { readJobFile } from '@/core/formats/jobFile'
import { JobFileError } from '@/core/formats/jobFileError'
import { type JobFile, writeJobFile } from '@/core/formats/writeJobFile'
import { catalogueOf } from '@/core/machine/parts'
import { orderList } from '@/core/orders/orders'
import { standings } from '@/core/planning/next'
import { SHEETS } from '@/core/sheets'
import { cutList } from '@/core/sheets/cutList'
import { evaluateAxis, overlayFor } from '@/core/sheets/evaluateAxis'
import { overlayAt } from '@/core/sheets/overlay'
import { paperOf } from '@/core/sheets/paper'
import { procedure } from '@/core/sheets/shared/steps/procedure'
import { stepsOverlay } from '@/core/sheets/steps/overlay'
import { momentWords } from '@/core/units/dateWords'

// What a hostile or a damaged file may be, and what must never come of it.

/** Random numbers from 0 up to 1, the same for the same seed (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32
  }
}

const FIXTURES = join(process.cwd(), 'src/core/document/migrations/fixtures')

/** Files to start from: the demo jobs with a history, and one of every older version. */
export function soundFiles(): string[] {
  const demos = demoJobs().map(({ job, entries }) =>
    writeJobFile({ format: 'dusk-bench-job', job, entries, history: [] }),
  )
  const old = readdirSync(FIXTURES)
    .filter(name => /^job-.*\.json$/.test(name))
    .map(name => readFileSync(join(FIXTURES, name), 'utf8'))
  return [...demos, ...old]
}

type Holder = Record<string, unknown> | unknown[]

/** Every object and list of a document, with its keys. */
function holders(document: Holder): Holder[] {
  const found: Holder[] = [document]
  for (const holder of found)
    for (const inside of Object.values(holder))
      if (typeof inside === 'object' && inside !== null) found.push(inside as Holder)
  return found
}

const deep = (levels: number): unknown => {
  let value: unknown = 1
  for (let i = 0; i < levels; i++) value = i % 2 ? [value] : { a: value }
  return value
}

/** Values that a field does not expect. */
const ODD: readonly unknown[] = [
  null,
  true,
  '',
  'x',
  '\ud800',
  'a\u0000b',
  '=1+1',
  '2026-02-31T25:61:00.000Z',
  '9999-99-99T99:99:99Z',
  'x'.repeat(5000),
  0,
  -1,
  1e-300,
  1e308,
  -1e308,
  0.1 + 0.2,
  2 ** 53,
  [],
  {},
  [[]],
  '__proto__',
  'constructor',
  'toString',
  '\u202eabc',
]
const KEYS = ['__proto__', 'constructor', 'toString', 'hasOwnProperty', '', 'x', '\ud800', 'length', '0']

/** A document with one to four things wrong, or a text that is damaged. */
export function damaged(text: string, random: () => number): string {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
  if (random() < 0.08) return damagedText(text, random, pick)
  const document = JSON.parse(text) as Holder
  const times = 1 + Math.floor(random() * 4)
  for (let i = 0; i < times; i++) {
    const holder = pick(holders(document))
    const keys = Object.keys(holder)
    const key = pick(keys) ?? '0'
    const at = holder as Record<string, unknown>
    const put = (name: string, value: unknown) => {
      if (Array.isArray(holder) && name === 'length') return
      // A copy, so that nothing comes to lie within itself.
      const own = structuredClone(value)
      Object.defineProperty(at, name, { value: own, enumerable: true, configurable: true, writable: true })
    }
    const kind = random()
    if (kind < 0.45) put(key, pick(ODD))
    else if (kind < 0.6) {
      if (Array.isArray(holder)) holder.splice(Number(key) || 0, 1)
      else delete at[key]
    } else if (kind < 0.7) put(pick(KEYS), pick([at[key], ...ODD]))
    else if (kind < 0.78 && Array.isArray(holder)) {
      const size = JSON.stringify(at[key] ?? null).length
      const times = Math.min(pick([1, 2, 60, 3000]), Math.floor(4e5 / size))
      holder.push(...Array.from({ length: times }, () => structuredClone(at[key])))
    } else if (kind < 0.84) put(key, deep(pick([3, 40, 400])))
    else if (kind < 0.92) put(key, pick(holders(document)))
    else if (typeof at[key] === 'number')
      put(key, (at[key] as number) * pick([-1, 0, 1e3, 1e6, 1e-6, 0.5, 2]))
    else put(key, pick([...ODD, at]))
  }
  try {
    return JSON.stringify(document)
  } catch {
    return text
  }
}

function damagedText(text: string, random: () => number, pick: <T>(list: readonly T[]) => T): string {
  const at = Math.floor(random() * text.length)
  return pick([
    text.slice(0, at),
    text.slice(at),
    `${text.slice(0, at)}${pick(['"', '}', ']', ',', '\u0000', '\ud800', '1e999', '\\u'])}${text.slice(at + 1)}`,
    text.replace(
      /"schemaVersion": ?\d+/,
      `"schemaVersion": ${pick([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, -1, 1.5])}`,
    ),
    text.replaceAll('"id":', pick(['"di":', '"id": "same", "was":'])),
    `[${text}]`,
    text.replace(/: ?\d+/g, ': 1e999'),
  ])
}

/** Everything that a screen, the paper and the shell ask of a job. @throws whatever would break one of them */
export function exercise({ job, entries, history }: JobFile): void {
  const catalogue = catalogueOf(job)
  for (const axis of job.axes) {
    const context = evaluateAxis(axis, catalogue, job.units)
    for (const finding of context.findings) String(finding.sentence)
    const line = driveLine(context, 0.5)
    for (const { id, stage } of SHEETS) overlayAt(id, stage, context, line, overlayFor)
    stepsOverlay(context, line)
    procedure(context)
    attempt(() => cutList(context))
    paperOf(context, 'worksheet')
    paperOf(context, 'record')
    for (const at of [...Object.values(axis.ticks), ...axis.rounds.map(one => one.startedAt)]) momentWords(at)
  }
  for (const entry of entries) momentWords(entry.at)
  momentWords(job.createdAt)
  standings(job, catalogue, { day: '2026-11-26', minute: 0 })
  orderList(job, catalogue)
  // Undo may find that a change does not fit; it must never make what is no job.
  let state: Job = job
  for (const change of history.toReversed())
    try {
      state = takeBack(state, change)
    } catch (error) {
      if ((error as Error).name !== 'StaleError') throw error
      break
    }
}

/** What came of one file. */
export interface Trial {
  outcome: 'refused' | 'taken' | 'bad'
  /** What is wrong where it is bad. */
  why: string
  tookMs: number
}

/** Longest that a reader may take, and the longest message. */
export const MOST_MS = 2000
export const LONGEST_MESSAGE = 300

/** Reads a text as a job file, and uses all of it where it is taken. */
export function tryFile(text: string): Trial {
  const start = performance.now()
  const took = () => performance.now() - start
  let file: JobFile
  try {
    file = readJobFile(text)
  } catch (error) {
    const tookMs = took()
    const said = error instanceof Error ? error.message : String(error)
    const why = !(error instanceof JobFileError)
      ? `a bare ${(error as Error).name}: ${said.slice(0, 120)}`
      : said.length >= LONGEST_MESSAGE
        ? `a message of ${said.length} letters: ${said.slice(0, 120)}`
        : tookMs > MOST_MS
          ? `took ${tookMs.toFixed(0)} ms to refuse`
          : ''
    return { outcome: why ? 'bad' : 'refused', why, tookMs }
  }
  const tookMs = took()
  if (tookMs > MOST_MS) return { outcome: 'bad', why: `took ${tookMs.toFixed(0)} ms to read`, tookMs }
  try {
    exercise(file)
    const again = readJobFile(writeJobFile(file))
    if (JSON.stringify(again) !== JSON.stringify(file)) throw new Error('it reads back as another')
  } catch (error) {
    const { stack = String(error) } = error as Error
    return { outcome: 'bad', why: `taken, then: ${stack.split('\n').slice(0, 3).join(' | ')}`, tookMs }
  }
  return { outcome: 'taken', why: '', tookMs }
}
