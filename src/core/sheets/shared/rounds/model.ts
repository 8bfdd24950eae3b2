import { STATES } from '../../../evaluation/finding'
import {
  choice,
  map,
  maybe,
  moment,
  momentOrNone,
  plain,
  record,
  type ValueOf,
  wordsOrNone,
} from '../../../field/field'
import { TAKEN, type Taken } from '../../../readings/taken'
import { QUANTITIES, type QuantityKind } from '../../../units/quantity'

// What a round is on every sheet of readings. Apart from what is made of rounds: fields come with the first screen.

/** What a round came to when it was closed: what changes afterwards is not held against it. */
export const CLOSED_WITH = record('When it was closed', {
  worst: plain('Its figure', [-1e12, 1e12], { orNone: true }),
  quantity: choice('Of', Object.keys(QUANTITIES) as QuantityKind[]),
  states: map('Verdicts', choice('State', STATES), /^[\w.-]{1,60}$/),
})
export type ClosedWith = ValueOf<typeof CLOSED_WITH>

/** What every round has, besides what its own sheet reads. */
export const ROUND = {
  startedAt: moment('Started'),
  finishedAt: momentOrNone('Finished'),
  /** What was done since the round before: which screw was turned, which shim was put in. */
  done: wordsOrNone('What was done before it', 300),
  taken: TAKEN,
  closedWith: maybe('What it came to', CLOSED_WITH),
}

/** Which screw of an axis; one that has one has the first. */
export const SCREWS = ['first', 'second'] as const
export type WhichScrew = (typeof SCREWS)[number]

/** What a round has that is read on a screw: where there are two, each is set by itself. */
export const ROUND_OF_SCREW = {
  ...ROUND,
  screw: choice('Which screw', SCREWS, { words: { first: 'the first', second: 'the second' } }),
}

/** A round of any sheet. */
export interface Round {
  id: string
  startedAt: string
  finishedAt: string | null
  done: string | null
  taken: Taken
  closedWith: ClosedWith | null
  screw?: WhichScrew
  stations: { id: string }[]
}
