import type { Command } from './edit'
import { onAxis } from './edits'
import { type Axis, LONGEST_LINE, type LogEntry } from './job'

/** Ticks a step of the build, or takes the tick off. */
export const tickStep = (axis: Axis, step: { id: string; title: string }, at: string | null): Command =>
  onAxis(
    axis,
    `${step.title}: ${at ? 'done' : 'open again'}`,
    draft => {
      if (at) draft.ticks[step.id] = at
      else delete draft.ticks[step.id]
    },
    { entry: { axisId: axis.id, kind: 'step', text: `${at ? 'Done' : 'Open again'}: ${step.title}.` } },
  )

export const addNote = (axisId: string | null, text: string, kind: 'note' | 'fix'): Command => ({
  label: kind === 'fix' ? 'Temporary fix noted' : 'Note',
  run: () => {},
  entry: { axisId, kind, text },
})

/** Ends a temporary fix: the line of its beginning stays, and one of its end comes after it. */
export const mendFix = (fix: LogEntry): Command => ({
  label: 'Temporary fix mended',
  run: () => {},
  entry: {
    axisId: fix.axisId,
    kind: 'mended',
    text: `Mended for good: ${fix.text}`.slice(0, LONGEST_LINE),
    closes: fix.id,
  },
})

export const deleteEntry = (entryId: string): Command => ({
  label: 'Log entry deleted',
  run: () => {},
  hides: [entryId],
})
