import { type Added, changeWith, givenWhat, type Plain } from './plain'

// Version 11 to 12: a test knows its conditions, a push which of two screws it is of, a circle the square beside it, an axis what its figures are uncertain by, and a
// job its acceptance.

const CONDITIONS: Plain = { temperatureC: null, gauge: null, who: null }

/** What objects are known by, and what they have from version 12 on; fields that stand there already stay. */
const ADDED: Added = [
  [
    ['schemaVersion', 'orders', 'shop', 'axes'],
    {
      acceptance: {
        customer: null,
        place: null,
        testedBy: null,
        acceptedBy: null,
        acceptedDay: null,
        hoursAWeek: null,
        remarks: null,
        points: [],
        reproved: {},
      },
    },
  ],
  [
    ['ticks', 'rounds', 'joints'],
    { uncertainty: { gaugeErrorUm: null, temperatureK: null, outOfLineDeg: null, settingUpUm: null } },
  ],
  [['label', 'gaugeStepUm', 'stations'], { ...CONDITIONS, feedMmPerMin: null, warmth: null }],
  [['label', 'runs', 'targets'], CONDITIONS],
  // Of two screws, what was read until now was the first.
  [['at', 'done', 'gaugeStepUm', 'stations'], { screw: 'first' }],
  [['forceN', 'motorRadiusMm', 'screwRadiusMm', 'stations'], { screw: 'first' }],
  [
    ['otherAxis', 'acceptedUmPerM', 'stations'],
    { sideMm: 100, diagonalReadToUm: 30, diagonalAMm: null, diagonalBMm: null },
  ],
]

const broughtUp = givenWhat(ADDED)

/** A change as version 12 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV11 = changeWith(broughtUp)

/** A job of version 11 with its history. */
export const fromV11 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV11),
})
