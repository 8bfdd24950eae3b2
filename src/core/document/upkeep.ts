import {
  choice,
  day,
  dayOrNone,
  plain,
  type RowOf,
  record,
  rows,
  type ValueOf,
  words,
  wordsOrNone,
} from '../field/field'

/** What a machine that runs asks for again and again. */
export const UPKEEP_KINDS = ['belt', 'gib', 'locknut', 'screws', 'proof', 'grease', 'other'] as const
export type UpkeepKind = (typeof UPKEEP_KINDS)[number]
export const UPKEEP_WORDS: Readonly<Record<UpkeepKind, string>> = {
  belt: 'belt',
  gib: 'gib',
  locknut: 'locknut, preload',
  screws: 'screws of joints',
  proof: 'proof',
  grease: 'grease, oil',
  other: 'something else',
}

/** What the counter of the machine showed on a day, or what somebody reckons that it has run by then. */
export const HOUR_READINGS = rows(
  'Reading of the hour counter',
  { day: day('Read on'), hours: plain('Hours run', [0, 1e6], { unit: 'h' }) },
  { most: 500 },
)
export type HourReading = RowOf<typeof HOUR_READINGS>

/** What is done by days or by hours of running, whichever comes first. */
export const UPKEEP_TASKS = rows(
  'Upkeep',
  {
    kind: choice('Kind', UPKEEP_KINDS, { words: UPKEEP_WORDS }),
    axisId: wordsOrNone('Axis', 40),
    what: words('What is done', 160, ''),
    everyDays: plain('Every so many days', [1, 3650], { whole: true, orNone: true, unit: 'd' }),
    everyHours: plain('Every so many hours run', [1, 100_000], { orNone: true, unit: 'h' }),
    doneDay: dayOrNone('Last done on'),
    /** What the machine had run by then, where that was known. */
    doneHours: plain('Run by then', [0, 1e6], { orNone: true, unit: 'h' }),
  },
  { most: 100 },
)
export type UpkeepTask = RowOf<typeof UPKEEP_TASKS>

/** The upkeep of a machine: how much it has run, and what is done when. */
export const UPKEEP = record('Upkeep', { readings: HOUR_READINGS, tasks: UPKEEP_TASKS })
export type Upkeep = ValueOf<typeof UPKEEP>

/** A machine that has not run yet, with nothing to be kept up. */
export const NO_UPKEEP: Upkeep = { readings: [], tasks: [] }
