import type { LogEntry } from './job'

/** Kinds of lines that a builder writes, and may word otherwise later. */
const WRITTEN: readonly LogEntry['kind'][] = ['note', 'fix']
/** Whether a line is one that the builder wrote. */
export const isWritten = ({ kind }: LogEntry): boolean => WRITTEN.includes(kind)

/** Whether a line words an earlier one otherwise; only what comes later can, so that no file hides lines behind each other. */
const words = (entry: LogEntry, earlier: LogEntry): boolean =>
  isWritten(entry) &&
  isWritten(earlier) &&
  (entry.at > earlier.at || (entry.at === earlier.at && entry.id > earlier.id))

/** The ids of lines that were worded otherwise since. */
function wordedOtherwise(entries: readonly LogEntry[]): Set<string> {
  const rewording = entries.filter(({ hidden, closes }) => !hidden && closes !== null)
  const closed = new Set(rewording.map(({ closes }) => closes))
  const byId = new Map(entries.filter(({ id }) => closed.has(id)).map(entry => [entry.id, entry]))
  return new Set(
    rewording.flatMap(entry => {
      const earlier = byId.get(entry.closes as string)
      return earlier && words(entry, earlier) ? [earlier.id] : []
    }),
  )
}

/**
 * What the log of an axis shows, oldest first: its own lines and those of the whole machine, without those
 * that were taken back or worded otherwise since.
 */
export function linesOfAxis(entries: readonly LogEntry[], axisId: string): LogEntry[] {
  const worded = wordedOtherwise(entries)
  return entries.filter(
    entry => !entry.hidden && !worded.has(entry.id) && (entry.axisId === axisId || entry.axisId === null),
  )
}

/** The temporary fixes that no later line ends. */
export function openFixes(lines: readonly LogEntry[]): LogEntry[] {
  const ended = new Set(lines.map(({ closes }) => closes))
  return lines.filter(({ kind, id }) => kind === 'fix' && !ended.has(id))
}

/** A line as it stands, with what it said before it was worded otherwise, the last first. */
export interface LogLine {
  readonly entry: LogEntry
  readonly before: readonly LogEntry[]
  /** Whether the builder may word it otherwise: a fix that was mended would be open again under new words. */
  readonly mayBeWorded: boolean
}

/** The whole log as it stands, newest first: a line that was worded otherwise stays where it was written. */
export function logLines(entries: readonly LogEntry[]): LogLine[] {
  const byId = new Map(entries.map(entry => [entry.id, entry]))
  const worded = wordedOtherwise(entries)
  const mended = new Set(
    entries.flatMap(({ kind, hidden, closes }) => (kind === 'mended' && !hidden ? closes : [])),
  )
  const before = (entry: LogEntry): LogEntry[] => {
    const chain: LogEntry[] = []
    for (let one = entry; one.closes !== null; ) {
      const earlier = byId.get(one.closes)
      if (!earlier || !words(one, earlier)) break
      chain.push(earlier)
      one = earlier
    }
    return chain
  }
  const lines = entries
    .filter(({ hidden, id }) => !hidden && !worded.has(id))
    .map(
      (entry): LogLine => ({
        entry,
        before: before(entry),
        mayBeWorded: isWritten(entry) && !mended.has(entry.id),
      }),
    )
  return lines.toSorted((a, b) => {
    const [one, other] = [writtenAt(a), writtenAt(b)]
    return one < other ? 1 : one > other ? -1 : 0
  })
}
/** When a line was first written. */
export const writtenAt = ({ entry, before }: Pick<LogLine, 'entry' | 'before'>): string =>
  before.at(-1)?.at ?? entry.at

/** What of a log is looked for. */
export interface LogSought {
  /** Words that all stand in the line, in whatever order. */
  readonly words: string
  /** An axis and the whole machine; null for all of them. */
  readonly axisId: string | null
  /** Null for every kind. */
  readonly kind: LogEntry['kind'] | null
  /** Days from and to which, as `2026-12-02`; empty for all. */
  readonly fromDay: string
  readonly toDay: string
}

/** A text without accents and capitals, as one looks for it. @example plainWords('Führung') // 'fuhrung' */
const plainWords = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

const dayStarts = (day: string, daysOn: number): string | null => {
  const at = new Date(`${day}T00:00:00`)
  if (Number.isNaN(at.getTime())) return null
  at.setDate(at.getDate() + daysOn)
  return at.toISOString()
}

/**
 * The lines of a log that go with what is looked for, in their order.
 *
 * @example findLines(logLines(entries), { words: 'foil far', axisId: null, kind: null, fromDay: '', toDay: '' })
 */
export function findLines(
  lines: readonly LogLine[],
  { words, axisId, kind, fromDay, toDay }: LogSought,
): LogLine[] {
  const sought = plainWords(words).split(/\s+/).filter(Boolean)
  const from = fromDay ? dayStarts(fromDay, 0) : null
  const before = toDay ? dayStarts(toDay, 1) : null
  return lines.filter(line => {
    const { entry } = line
    if (axisId !== null && entry.axisId !== axisId && entry.axisId !== null) return false
    if (kind !== null && entry.kind !== kind) return false
    const at = writtenAt(line)
    if ((from !== null && at < from) || (before !== null && at >= before)) return false
    if (sought.length === 0) return true
    const text = plainWords([entry, ...line.before].map(one => one.text).join(' '))
    return sought.every(word => text.includes(word))
  })
}
