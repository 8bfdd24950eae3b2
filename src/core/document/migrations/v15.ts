import { type Added, changeWith, givenWhat, type Plain } from './plain'

// Version 15 to 16: a belt may turn the nut on a screw that stands, each goal says where it comes from, and an axis knows what
// was read on the last machine of its kind. What stood before
// reads as it did: it was printed as wanted, and stays so.

/** What objects are known by, and what they have from version 16 on; fields that stand there already stay. */
const ADDED: Added = [
  [
    ['dimensions', 'goals', 'parts'],
    {
      work: null,
      ofLast: null,
      goalsFrom: {
        wantedTravelMm: 'wanted',
        topSpeedMmPerMin: 'wanted',
        accelerationMmPerS2: 'wanted',
        cuttingForceN: 'wanted',
        cuttingFeedMmPerMin: 'wanted',
        cuttingShare: 'wanted',
        backlashTargetUm: 'wanted',
        accuracyTargetUm: 'wanted',
        temperatureRiseK: 'wanted',
        alignmentTargetUm: 'wanted',
        rackingTargetUm: 'wanted',
        wantedLifeHours: 'wanted',
      },
    },
  ],
]

const broughtUp = givenWhat(ADDED)

/** A change as version 16 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV15 = changeWith(broughtUp)

/** A job of version 15 with its history. */
export const fromV15 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV15),
})
