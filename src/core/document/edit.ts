import { produce } from 'immer'
import type { Job, LogEntry } from './job'
import { applyPatches, diff, forcePatches, inverse, joinPatches, type Patch, StaleError } from './patch'

/** A change of a job by name, as one recipe; what it does is recorded as patches, so that it has an inverse. */
export interface Edit {
  /** What happened, as the history shows it: "Lead of X". */
  label: string
  /** Edits with the same key that follow each other are taken back in one go. */
  mergeKey?: string
  /** One of many readings that follow each other: each is taken back by itself, and what is not looked at meanwhile waits. */
  reading?: true
  /**
   * @param at the moment at which it is made
   * @param lineId the id of the line of the log that comes with it
   */
  run: (job: Job, at: string, lineId: string) => void
  /** A line for the log. */
  entry?: Pick<LogEntry, 'axisId' | 'kind' | 'text'> & Partial<Pick<LogEntry, 'closes'>>
  /** Lines of the log that this edit deletes. */
  hides?: string[]
}

/** One change of the history: plain data, with what does it and what takes it back. */
export interface Change {
  id: string
  jobId: string
  at: string
  label: string
  mergeKey: string | null
  patches: Patch[]
  /** Log lines that came with it, and those that it deleted. */
  shows: string[]
  hides: string[]
  undone: boolean
}

/**
 * Runs an edit on a job.
 *
 * @returns the new job, the change for the history, and the line for the log; the job given stays as it was
 */
export function runEdit(
  job: Job,
  edit: Edit,
  stamp: { id: string; at: string },
): { job: Job; change: Change; entry: LogEntry | null } {
  const lineId = `${stamp.id}e`
  const next = produce(job, draft => {
    edit.run(draft, stamp.at, lineId)
  })
  const entry = edit.entry
    ? { id: lineId, jobId: job.id, at: stamp.at, closes: null, hidden: false, ...edit.entry }
    : null
  return {
    job: next,
    entry,
    change: {
      ...stamp,
      jobId: job.id,
      label: edit.label,
      mergeKey: edit.mergeKey ?? null,
      patches: diff(job, next),
      shows: entry ? [entry.id] : [],
      hides: edit.hides ?? [],
      undone: false,
    },
  }
}

/** Whether a change does anything at all. */
export const isEmptyChange = (change: Change): boolean =>
  change.patches.length === 0 && change.shows.length === 0 && change.hides.length === 0

/**
 * A job with a change put in.
 *
 * @throws StaleError when a newer value stands where the change would put its own, or its row is gone
 */
export const applyChange = (job: Job, { patches }: Pick<Change, 'patches'>): Job => applyPatches(job, patches)

/**
 * A job with a change taken back.
 *
 * @throws StaleError when what the change made of it was changed again since
 */
export const takeBack = (job: Job, { patches }: Pick<Change, 'patches'>): Job =>
  applyPatches(job, inverse(patches))

/** Whether the values that a change replaces still stand in a job, so that nothing newer is overwritten. */
export function stillApplies(job: Job, change: Pick<Change, 'patches'>): boolean {
  try {
    applyChange(job, change)
    return true
  } catch (error) {
    if (error instanceof StaleError) return false
    throw error
  }
}

/**
 * A job with a change put in whatever stands there now; what no longer has a place is left out.
 *
 * For a builder who was shown that another tab changed the same, and wants this all the same.
 */
export const insistOn = (job: Job, { patches }: Pick<Change, 'patches'>): Job => forcePatches(job, patches)

/** The change that takes another back, as a new act of its own: for what was not the last thing done. */
export const undoingChange = (change: Change, stamp: { id: string; at: string }): Change => ({
  ...stamp,
  jobId: change.jobId,
  label: `Taken back: ${change.label}`.slice(0, LONGEST_LABEL),
  mergeKey: null,
  patches: inverse(change.patches),
  shows: change.hides,
  hides: change.shows,
  undone: false,
})
/** Most characters of a label of the history. */
export const LONGEST_LABEL = 300
/** Most lines of the log that a change brings, or takes out. */
export const MOST_LINES = 100

/** Joins a change to the one before it when both are one act of typing. */
export const mergeChanges = (before: Change, after: Change): Change => ({
  ...after,
  patches: joinPatches(before.patches, after.patches),
  shows: [...before.shows, ...after.shows],
  hides: [...before.hides, ...after.hides],
})
