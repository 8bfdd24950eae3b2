import type { Edit } from './edit'
import { LONGEST_LINE, type LogEntry } from './job'

export const addNote = (axisId: string | null, text: string, kind: 'note' | 'fix'): Edit => ({
  label: kind === 'fix' ? 'Temporary fix noted' : 'Note',
  run: () => {},
  entry: { axisId, kind, text },
})

/** Ends a temporary fix: the line of its beginning stays, and one of its end comes after it. */
export const mendFix = (fix: LogEntry): Edit => ({
  label: 'Temporary fix mended',
  run: () => {},
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
