import { axesWithin, onEachAxis, type Plain } from './plain'

// Version 4 to 5: how far an axis runs on after its switch is struck.

const axisFromV4 = (axis: Plain): Plain => ({
  ...axis,
  stopping: { reactionS: null, decelerationMmPerS2: null },
})

/** A job of version 4 with its history; axes that a change puts in or takes out are brought up too. */
export const fromV4 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: onEachAxis(axisFromV4)(job),
  history: history.map(change => ({ ...change, patches: axesInPatches(change.patches) })),
})

const axesInPatches = (patches: unknown): unknown =>
  Array.isArray(patches)
    ? patches.map((patch: Plain) => ({
        ...patch,
        ...('was' in patch && { was: axesWithin(patch.was, axisFromV4) }),
        ...('now' in patch && { now: axesWithin(patch.now, axisFromV4) }),
      }))
    : patches
