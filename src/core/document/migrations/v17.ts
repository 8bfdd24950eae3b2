import { type Added, changeWith, givenWhat, type Plain } from './plain'

// Version 17 to 18: the next machine of a kind knows what was read on every one before it, not on the last one alone; a job
// keeps lessons.

/** What objects are known by, and what they have from version 18 on. */
const ADDED: Added = [
  [['machine', 'dimensions', 'mended'], { before: [] }],
  [['machineKind', 'acceptance', 'axes'], { lessons: [] }],
]

const broughtUp = givenWhat(ADDED)

/** A change as version 18 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV17 = changeWith(broughtUp)

/** A job of version 17 with its history. */
export const fromV17 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV17),
})
