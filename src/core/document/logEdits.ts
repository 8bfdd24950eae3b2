import { type Edit, MOST_LINES } from './edit'
import { asks, type FixTerms, LONGEST_FIX, NO_TERMS } from './fixes'
import { type Job, LONGEST_LINE, type LogEntry } from './job'
import type { LogLine } from './logLines'
import { isAboutDrive, touch } from './touched'

/** When a temporary fix asks, and whether it concerns safety. */
export type Terms = Pick<FixTerms, 'untilDay' | 'untilHours' | 'isSafety'>

/** Puts what is asked of a fix beside the line that notes it, or takes it away where nothing is. */
function setTerms(
  job: Job,
  lineId: string,
  { axisId, text }: Pick<LogEntry, 'axisId' | 'text'>,
  terms: Terms,
) {
  const { [lineId]: _, ...others } = job.fixes
  const { untilDay, untilHours, isSafety } = terms
  job.fixes = asks(terms)
    ? { ...others, [lineId]: { axisId, text: shortened(text), untilDay, untilHours, isSafety } }
    : others
}
const shortened = (text: string) => (text.length > LONGEST_FIX ? `${text.slice(0, LONGEST_FIX - 1)}…` : text)

/** A note, or a temporary fix with when it asks to be mended. */
export const addNote = (
  axisId: string | null,
  text: string,
  kind: 'note' | 'fix',
  terms: Terms = NO_TERMS,
): Edit => ({
  label: kind === 'fix' ? 'Temporary fix noted' : 'Note',
  run: (job, at, lineId) => {
    const axis = job.axes.find(({ id }) => id === axisId)
    if (axis && isAboutDrive(text)) touch(axis, at, text)
    if (kind === 'fix') setTerms(job, lineId, { axisId, text }, terms)
  },
  entry: { axisId, kind, text },
})

/** Says anew when an open fix asks to be mended, and whether it concerns safety; the log says so too. */
export const setFixTerms = (fix: LogEntry, terms: Terms, said: string): Edit => ({
  label: 'When a temporary fix asks',
  run: job => setTerms(job, fix.id, fix, terms),
  entry: { axisId: fix.axisId, kind: 'note', text: said.slice(0, LONGEST_LINE) },
})

/** Ends a temporary fix: the line of its beginning stays, and one of its end comes after it. */
export const mendFix = (fix: LogEntry): Edit => ({
  label: 'Temporary fix mended',
  run: (job, at) => {
    const axis = job.axes.find(({ id }) => id === fix.axisId)
    if (axis && isAboutDrive(fix.text)) touch(axis, at, `mended for good: ${fix.text}`)
    setTerms(job, fix.id, fix, NO_TERMS)
  },
  entry: {
    axisId: fix.axisId,
    kind: 'mended',
    text: `Mended for good: ${fix.text}`.slice(0, LONGEST_LINE),
    closes: fix.id,
  },
})

/** Words a line otherwise: what it said stays beneath it, and what is asked of a fix goes with it. */
export const correctLine = (line: LogEntry, text: string): Edit => ({
  label: 'Log entry worded otherwise',
  run: (job, at, lineId) => {
    const axis = job.axes.find(({ id }) => id === line.axisId)
    if (axis && isAboutDrive(text) && !isAboutDrive(line.text)) touch(axis, at, text)
    const terms = job.fixes[line.id] ?? NO_TERMS
    setTerms(job, line.id, line, NO_TERMS)
    setTerms(job, lineId, { axisId: line.axisId, text }, terms)
  },
  entry: { axisId: line.axisId, kind: line.kind, text, closes: line.id },
})

/** Takes a line out, with what it said before. */
export const deleteLine = ({ entry, before }: Pick<LogLine, 'entry' | 'before'>): Edit => ({
  label: 'Log entry deleted',
  run: job => setTerms(job, entry.id, entry, NO_TERMS),
  hides: [entry.id, ...before.map(({ id }) => id)].slice(0, MOST_LINES),
})
