import { changeWith, givenWhat, type Plain } from './plain'

// Version 10 to 11: an axis keeps what it was proved by beside the reversal: full tests, pushes and pulls, the five places, returns to
// zero, circles, moves, searches for a fault, and the
// grid of its corrections.

const PROVED: Plain = {
  pushRounds: [],
  lostRounds: [],
  returnRounds: [],
  circleRounds: [],
  scaleRounds: [],
  faultSearches: [],
  fullTests: [],
  compensation: { spacingMm: 20 },
}

const broughtUp = givenWhat([[['ticks', 'rounds', 'joints'], PROVED]])

/** A change as version 11 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV10 = changeWith(broughtUp)

/** A job of version 10 with its history. */
export const fromV10 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV10),
})
