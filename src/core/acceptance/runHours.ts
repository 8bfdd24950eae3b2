import type { Job } from '../document/job'
import type { HourReading } from '../document/upkeep'
import { dayAfter, daysBetween } from '../planning/days'

// How much a machine has run: by its counter where that was read, else by the hours of a usual week.

/** Two readings this far apart say how much a machine runs; closer ones may have met a busy week. */
const LEAST_DAYS = 14

type Run = Pick<Job, 'acceptance' | 'upkeep'>

/** What is wrong with a reading of the counter: it shows less than was read before. */
export interface ReadingProblem {
  rowId: string
  text: string
}

const byDay = (readings: readonly HourReading[]): HourReading[] =>
  readings.toSorted((a, b) => a.day.localeCompare(b.day))

/** The readings that can be, oldest first, and what is wrong with the others. */
function sorted(readings: readonly HourReading[]): { fine: HourReading[]; problems: ReadingProblem[] } {
  const fine: HourReading[] = []
  const problems: ReadingProblem[] = []
  for (const one of byDay(readings)) {
    const before = fine.at(-1)
    if (before && one.hours < before.hours)
      problems.push({
        rowId: one.id,
        text: `got ${one.hours} h, takes ${before.hours} h or more, as was read on ${before.day}`,
      })
    else fine.push(one)
  }
  return { fine, problems }
}

/** Readings that show less than an earlier one: they do not count until they are put right. */
export const readingProblems = ({ upkeep }: Pick<Job, 'upkeep'>): ReadingProblem[] =>
  sorted(upkeep.readings).problems

/** How many hours a week a machine runs, and whether that was read or said. */
export interface WeeklyHours {
  hours: number
  from: 'read' | 'said'
}

/**
 * How many hours a week a machine runs: by two readings of its counter that are two weeks apart or more, else as somebody said.
 *
 * @returns null where nobody knows
 * @example weeklyHours({ ...job, upkeep: { tasks: [], readings: [at('2026-11-01', 100), at('2026-11-29', 124)] } }) // 6 h, read
 */
export function weeklyHours({ acceptance, upkeep }: Run): WeeklyHours | null {
  const { fine } = sorted(upkeep.readings)
  const last = fine.at(-1)
  const before = last && fine.findLast(({ day }) => daysBetween(day, last.day) >= LEAST_DAYS)
  if (last && before)
    return { hours: ((last.hours - before.hours) / daysBetween(before.day, last.day)) * 7, from: 'read' }
  return acceptance.hoursAWeek === null ? null : { hours: acceptance.hoursAWeek, from: 'said' }
}

/** From where the hours are counted: the readings, or nothing on the day of the acceptance. */
function marksOf({ acceptance, upkeep }: Run): { day: string; hours: number }[] {
  const { fine } = sorted(upkeep.readings)
  if (fine.length > 0) return fine
  return acceptance.acceptedDay === null ? [] : [{ day: acceptance.acceptedDay, hours: 0 }]
}

/**
 * What a machine has run by a day: between two readings in proportion, beyond them by its week.
 *
 * @returns null where that is not known
 */
export function hoursOn(job: Run, day: string): number | null {
  const marks = marksOf(job)
  const before = marks.findLast(one => one.day <= day)
  const after = marks.find(one => one.day >= day)
  if (before && after) {
    const days = daysBetween(before.day, after.day)
    // Of two readings on one day the later one stands.
    if (days === 0) return before.hours
    return before.hours + ((after.hours - before.hours) * daysBetween(before.day, day)) / days
  }
  const near = before ?? after
  const week = weeklyHours(job)
  if (!near || !week) return null
  return Math.max(0, near.hours + (week.hours * daysBetween(near.day, day)) / 7)
}

/**
 * The day by which a machine has run so many hours in all.
 *
 * @returns null where it is not known, or where it does not run
 * @example dayOfRun({ ...job, acceptance: { ...accepted('2026-12-01'), hoursAWeek: 5 } }, 10) // '2026-12-15'
 */
export function dayOfRun(job: Run, hours: number): string | null {
  const marks = marksOf(job)
  const next = marks.findIndex(one => one.hours >= hours)
  if (next >= 0) {
    const [after, before] = [marks[next], marks[next - 1]] as const
    if (!after) return null
    if (!before) return after.day
    const part = (hours - before.hours) / (after.hours - before.hours)
    return dayAfter(before.day, Math.ceil(daysBetween(before.day, after.day) * part))
  }
  const last = marks.at(-1)
  const week = weeklyHours(job)
  if (!last || !week || week.hours <= 0) return null
  const days = Math.ceil(((hours - last.hours) / week.hours) * 7)
  return days > MOST_DAYS ? null : dayAfter(last.day, days)
}
/** A date further off than a working life says nothing. */
const MOST_DAYS = 40 * 365
