import type { Edit } from './edit'
import { LONGEST_LINE, type LogEntry } from './job'
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

export const deleteEntry = (entryId: string): Edit => ({
  label: 'Log entry deleted',
  run: () => {},
  hides: [entryId],
})
