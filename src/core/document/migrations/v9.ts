import { type Added, changeWith, givenWhat, type Plain } from './plain'

// Version 9 to 10: an axis keeps rounds of readings of everything that is aligned, not of the line of its
// screw alone; a shop knows the clutch of its drill.

/** What objects are known by, and what they have from version 10 on; fields that stand there already stay. */
const ADDED: Added = [
  [
    ['ticks', 'rounds', 'joints'],
    {
      couplerRounds: [],
      beltRounds: [],
      flangeRounds: [],
      runOutRounds: [],
      gibRounds: [],
      railRounds: [],
      squareRounds: [],
      overhangRounds: [],
      waysRounds: [],
      dragRounds: [],
      turnRounds: [],
      preloadRounds: [],
    },
  ],
  [['clampedAtMm', 'stations'], { done: null, screw: 'first' }],
  [['cutterSizesMm', 'shimStockMm'], { clutchLeverMm: 150, clutchPulls: [] }],
]

const broughtUp = givenWhat(ADDED)

/** A change as version 10 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV9 = changeWith(broughtUp)

/** A job of version 9 with its history. */
export const fromV9 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV9),
})
