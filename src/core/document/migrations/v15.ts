import type { Plain } from './plain'

// Version 15 to 16: a belt may turn the nut on a screw that stands. What stood before reads as it did.

/** A change as version 16 writes it: it is the same. */
export const changeFromV15 = (change: Plain): Plain => change

/** A job of version 15 with its history. */
export const fromV15 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job,
  history: [...history],
})
