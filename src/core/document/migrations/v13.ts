import { type Added, changeWith, givenWhat, type Plain } from './plain'

// Version 13 to 14: an axis has what keeps its table down where that is run out over the end of its way.

const ADDED: Added = [
  [
    ['ticks', 'rounds', 'joints'],
    {
      counterweight: {
        wayLengthMm: null,
        beyondFixedMm: null,
        beyondFarMm: null,
        weightArmMm: null,
        weightKg: 0,
      },
    },
  ],
]
const broughtUp = givenWhat(ADDED)

/** A change as version 14 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV13 = changeWith(broughtUp)

/** A job of version 13 with its history. */
export const fromV13 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV13),
})
