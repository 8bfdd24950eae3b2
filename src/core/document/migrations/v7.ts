import { changeWith, isPlain, type Plain } from './plain'

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
const ADDED: [has: string[], added: Plain][] = [
  [['schemaVersion', 'orders', 'shop', 'axes'], { plan: PLAN }],
  [['state', 'priceEur', 'leadDays'], { dueDay: null }],
]

/** A value with everything in it brought up, however deep it lies. */
function broughtUp(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(broughtUp)
  if (!isPlain(value)) return value
  const deep = Object.fromEntries(Object.entries(value).map(([key, one]) => [key, broughtUp(one)]))
  for (const [has, added] of ADDED)
    if (has.every(key => key in value))
      for (const [key, one] of Object.entries(added)) if (!(key in deep)) deep[key] = one
  return deep
}

/** A change as version 8 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV7 = changeWith(broughtUp)

/** A job of version 7 with its history. */
export const fromV7 = (job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } => ({
  job: broughtUp(job) as Plain,
  history: history.map(changeFromV7),
})
