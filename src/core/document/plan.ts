import {
  choice,
  clock,
  day,
  flag,
  map,
  moment,
  momentOrNone,
  plain,
  type RowOf,
  record,
  rows,
  type ValueOf,
  words,
  wordsOrNone,
} from '../field/field'

/** Days of the week as the calendar counts them: Monday is 1. */
export const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7] as const
const WEEKDAY_WORDS = {
  1: 'Monday',
  2: 'Tuesday',
  3: 'Wednesday',
  4: 'Thursday',
  5: 'Friday',
  6: 'Saturday',
  7: 'Sunday',
} as const

const fromMinute = clock('From', 18 * 60)
const toMinute = clock('To', 21 * 60)

/** When there is work every week. */
export const HOURS = rows(
  'Working time',
  { weekday: choice('Day', WEEKDAYS, { words: WEEKDAY_WORDS }), fromMinute, toMinute },
  { most: 28 },
)
export type HoursRow = RowOf<typeof HOURS>

/** Days without work, the last one counted in. */
export const DAYS_OFF = rows(
  'Days off',
  { fromDay: day('From'), toDay: day('To'), why: words('Why', 80, 'Away') },
  { most: 400 },
)
export type DaysOffRow = RowOf<typeof DAYS_OFF>

/** Work on a day that has none otherwise, or more of it. */
export const EXTRA_HOURS = rows('Extra time', { day: day('Day'), fromMinute, toMinute }, { most: 400 })

/** A week of hands, or twenty weeks of waiting: no task of a conversion takes longer. */
export const MOST_TASK_MINUTES = 200_000
const minutes = plain('Minutes', [1, MOST_TASK_MINUTES], { whole: true, unit: 'min', blank: 60 })

/** Tasks that the builder has added to those that every conversion has. */
export const OWN_TASKS = rows(
  'Task of your own',
  {
    title: words('What', 80, 'Something else'),
    minutes,
    kind: choice('Takes', ['hands', 'one go', 'waiting'], {
      words: { hands: 'hands', 'one go': 'hands, in one go', waiting: 'waiting, round the clock' },
    }),
    /** The task that comes before it, and the one that waits for it, by their keys. */
    afterKey: wordsOrNone('After', 120),
    beforeKey: wordsOrNone('Before', 120),
  },
  { most: 60 },
)

/** What is known of a task: how it is to be done, and what it really took. */
export const TASK_NOTE = record('Task', {
  /** The way that the builder wants it done; none leaves it to the schedule. */
  way: wordsOrNone('Way', 40),
  /** In place of what it usually takes. */
  minutes: plain('Minutes', [1, MOST_TASK_MINUTES], { whole: true, orNone: true, unit: 'min' }),
  startedAt: momentOrNone('Started'),
  doneAt: momentOrNone('Done'),
  tookMinutes: plain('Took', [1, MOST_TASK_MINUTES], { whole: true, orNone: true, unit: 'min' }),
})
export type TaskNote = ValueOf<typeof TASK_NOTE>
export const NO_NOTE: TaskNote = {
  way: null,
  minutes: null,
  startedAt: null,
  doneAt: null,
  tookMinutes: null,
}

/** The key that the time of one step of the build is noted by. */
export const stepTaskKey = (axisId: string, stepId: string) => `${axisId}.step:${stepId}`
/** Whether a note is of one step, not of a task of the schedule. */
export const isOfStep = (key: string) => /^[^.]+\.step:/.test(key)

/** When somebody was at the machine: from the start to the stop of an evening. */
export const SITTINGS = rows(
  'Time at the machine',
  { startedAt: moment('Started'), stoppedAt: momentOrNone('Stopped'), who: words('Who', 40, '') },
  { most: 1000 },
)
export type Sitting = RowOf<typeof SITTINGS>

/** When there is work, and how tasks are done that the schedule lays into it. */
export const PLAN = record('Plan', {
  hours: HOURS,
  daysOff: DAYS_OFF,
  extraHours: EXTRA_HOURS,
  /** Whether a mill can be had that is not under conversion. */
  otherMill: flag('Another mill can be had'),
  /** Whether somebody makes parts to a drawing for this shop. */
  elsewhere: flag('Somebody makes parts for us'),
  tasks: map('Tasks', TASK_NOTE, /^[\w-]{1,40}\.[\w.:-]{1,80}$/),
  ownTasks: OWN_TASKS,
  sittings: SITTINGS,
})
export type Plan = ValueOf<typeof PLAN>

const usual = (id: string, weekday: HoursRow['weekday'], from: number, to: number): HoursRow => ({
  id,
  weekday,
  fromMinute: from * 60,
  toMinute: to * 60,
})

/** Two evenings and a Saturday: what a plan starts with until the builder says when there is time. */
export const PLAN_TO_START: Plan = {
  hours: [usual('usual-1', 2, 19, 22), usual('usual-2', 4, 19, 22), usual('usual-3', 6, 9, 13)],
  daysOff: [],
  extraHours: [],
  otherMill: false,
  elsewhere: false,
  tasks: {},
  ownTasks: [],
  sittings: [],
}

/** Whether the working hours are still those that a plan starts with. */
export const areUsualHours = ({ hours }: Pick<Plan, 'hours'>): boolean =>
  JSON.stringify(hours) === JSON.stringify(PLAN_TO_START.hours)
