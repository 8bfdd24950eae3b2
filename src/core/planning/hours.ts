import type { Plan } from '../document/plan'
import type { Window } from '../schedule/calendar'
import { clockWords as clock } from '../units/clock'
import { DAY_MINUTES, dayAfter, daysBetween, weekdayOf } from './days'

/** So far ahead windows are laid: a plan that takes longer than two years has none. */
const MOST_DAYS = 732

/** Something about the working hours that cannot be. */
export interface HoursProblem {
  rowId: string
  field: 'fromMinute' | 'toMinute' | 'fromDay' | 'toDay' | 'weekday'
  text: string
}

type Hours = Pick<Plan, 'hours' | 'daysOff' | 'extraHours'>

/**
 * What is wrong with working hours: windows that end before they begin or overlap another of the same day, and days off
 * that end before they begin. Such rows are left out of the plan until they are mended.
 */
export function hoursProblems({ hours, daysOff, extraHours }: Hours): HoursProblem[] {
  const backwards = [...hours, ...extraHours].flatMap(({ id, fromMinute, toMinute }): HoursProblem[] =>
    toMinute > fromMinute
      ? []
      : [
          {
            rowId: id,
            field: 'toMinute',
            text: `To: got ${clock(toMinute)}, takes a time after ${clock(fromMinute)}; work past midnight is two rows`,
          },
        ],
  )
  const overlapping = hours.flatMap((row, index): HoursProblem[] => {
    const other = hours
      .slice(0, index)
      .find(
        ({ weekday, fromMinute, toMinute }) =>
          weekday === row.weekday && fromMinute < row.toMinute && row.fromMinute < toMinute,
      )
    return other
      ? [
          {
            rowId: row.id,
            field: 'fromMinute',
            text: `From: got ${clock(row.fromMinute)}, takes a time outside ${clock(other.fromMinute)} to ${clock(other.toMinute)} of the same day`,
          },
        ]
      : []
  })
  const daysBackwards = daysOff.flatMap(({ id, fromDay, toDay }): HoursProblem[] =>
    toDay >= fromDay
      ? []
      : [{ rowId: id, field: 'toDay', text: `To: got ${toDay}, takes ${fromDay} or a later day` }],
  )
  return [...backwards, ...overlapping, ...daysBackwards]
}

/**
 * The working windows from a day on, in minutes from its midnight: every week's hours without the days off, and extra
 * time, whether the day is off or not.
 *
 * @param fromMinute nothing before it
 * @example windowsFrom({ hours: [{ id: 'a', weekday: 4, fromMinute: 1140, toMinute: 1320 }], daysOff: [], extraHours: [] }, '2026-11-26', 1200)[0]
 *   // { fromMinute: 1200, toMinute: 1320 }
 */
export function windowsFrom(plan: Hours, firstDay: string, fromMinute: number): Window[] {
  const wrong = new Set(hoursProblems(plan).map(({ rowId }) => rowId))
  const sound = <R extends { id: string }>(rows: readonly R[]) => rows.filter(({ id }) => !wrong.has(id))
  const off = sound(plan.daysOff).map(({ fromDay, toDay }) => [
    daysBetween(firstDay, fromDay),
    daysBetween(firstDay, toDay),
  ])
  const extra = sound(plan.extraHours).map(row => ({ ...row, at: daysBetween(firstDay, row.day) }))
  const hours = sound(plan.hours)
  const firstWeekday = weekdayOf(firstDay)
  const windows: Window[] = []
  for (let at = 0; at < MOST_DAYS; at++) {
    const weekday = ((firstWeekday - 1 + at) % 7) + 1
    const isOff = off.some(([from, to]) => at >= (from as number) && at <= (to as number))
    const ofDay = [
      ...(isOff ? [] : hours.filter(row => row.weekday === weekday)),
      ...extra.filter(row => row.at === at),
    ].toSorted((a, b) => a.fromMinute - b.fromMinute)
    for (const row of ofDay) {
      const window = {
        fromMinute: Math.max(fromMinute, at * DAY_MINUTES + row.fromMinute),
        toMinute: at * DAY_MINUTES + row.toMinute,
      }
      const last = windows.at(-1)
      // Extra time may lie over what is there every week.
      if (last && window.fromMinute <= last.toMinute) last.toMinute = Math.max(last.toMinute, window.toMinute)
      else if (window.toMinute > window.fromMinute) windows.push(window)
    }
  }
  return windows
}

/** The last day that windows are laid for. */
export const lastDayFrom = (firstDay: string): string => dayAfter(firstDay, MOST_DAYS - 1)
