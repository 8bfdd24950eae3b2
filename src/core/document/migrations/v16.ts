import { type Added, changeWith, givenWhat, type Plain } from './plain'

// Version 16 to 17: a temporary fix asks to be mended, what is kept up is listed with the hours that the machine has run, and
// a machine has a serial number. Fixes noted before stand in the log as they did; nothing is asked of them until somebody says.

/** What objects are known by, and what they have from version 17 on; fields that stand there already stay. */
const ADDED: Added = [
  [['machineKind', 'acceptance', 'axes'], { fixes: {}, upkeep: { readings: [], tasks: [] } }],
  [['testedBy', 'acceptedBy', 'reproved'], { serialNumber: null }],
]

const broughtUp = givenWhat(ADDED)

/** A change as version 17 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV16 = changeWith(broughtUp)

/** A job of version 16 with its history. */
export const fromV16 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV16),
})
