import { type Added, changeWith, givenWhat, type Plain } from './plain'

// Version 7 to 8: a job has a plan; an order knows the day on which it comes.

/** Two evenings and a Saturday, as version 8 began. */
const PLAN = {
  hours: [
    { id: 'usual-1', weekday: 2, fromMinute: 1140, toMinute: 1320 },
    { id: 'usual-2', weekday: 4, fromMinute: 1140, toMinute: 1320 },
    { id: 'usual-3', weekday: 6, fromMinute: 540, toMinute: 780 },
  ],
  daysOff: [],
  extraHours: [],
  otherMill: false,
  elsewhere: false,
  tasks: {},
  ownTasks: [],
}

/** What objects are known by, and what they have from version 8 on; fields that stand there already stay. */
const ADDED: Added = [
  [['schemaVersion', 'orders', 'shop', 'axes'], { plan: PLAN }],
  [['state', 'priceEur', 'leadDays'], { dueDay: null }],
]

const broughtUp = givenWhat(ADDED)

/** A change as version 8 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV7 = changeWith(broughtUp)

/** A job of version 7 with its history. */
export const fromV7 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV7),
})
