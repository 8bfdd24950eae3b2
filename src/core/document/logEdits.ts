import { type Edit, MOST_LINES } from './edit'
import { LONGEST_LINE, type LogEntry } from './job'
import type { LogLine } from './logLines'
import { isAboutDrive, touch } from './touched'

export const addNote = (axisId: string | null, text: string, kind: 'note' | 'fix'): Edit => ({
  label: kind === 'fix' ? 'Temporary fix noted' : 'Note',
  run: (job, at) => {
    const axis = job.axes.find(({ id }) => id === axisId)
    if (axis && isAboutDrive(text)) touch(axis, at, text)
  },
  entry: { axisId, kind, text },
})

/** Ends a temporary fix: the line of its beginning stays, and one of its end comes after it. */
export const mendFix = (fix: LogEntry): Edit => ({
  label: 'Temporary fix mended',
  run: (job, at) => {
    const axis = job.axes.find(({ id }) => id === fix.axisId)
    if (axis && isAboutDrive(fix.text)) touch(axis, at, `mended for good: ${fix.text}`)
  },
  entry: {
    axisId: fix.axisId,
    kind: 'mended',
    text: `Mended for good: ${fix.text}`.slice(0, LONGEST_LINE),
    closes: fix.id,
  },
})

/** Words a line otherwise: what it said stays beneath it. */
export const correctLine = (line: LogEntry, text: string): Edit => ({
  label: 'Log entry worded otherwise',
  run: (job, at) => {
    const axis = job.axes.find(({ id }) => id === line.axisId)
    if (axis && isAboutDrive(text) && !isAboutDrive(line.text)) touch(axis, at, text)
  },
  entry: { axisId: line.axisId, kind: line.kind, text, closes: line.id },
})

/** Takes a line out, with what it said before. */
export const deleteLine = ({ entry, before }: Pick<LogLine, 'entry' | 'before'>): Edit => ({
  label: 'Log entry deleted',
  run: () => {},
  hides: [entry.id, ...before.map(({ id }) => id)].slice(0, MOST_LINES),
})
