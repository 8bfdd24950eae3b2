import { addDays, differenceInCalendarDays, formatISO, getISODay, parseISO } from 'date-fns'

export const DAY_MINUTES = 24 * 60

/** A moment by the builder's clock: the day, and the minute of it. */
export interface Now {
  day: string
  minute: number
}

/**
 * A moment by the clock of this machine.
 *
 * @example nowOf(new Date(2026, 10, 26, 19, 30)) // { day: '2026-11-26', minute: 1170 }
 */
export const nowOf = (date: Date): Now => ({
  day: formatISO(date, { representation: 'date' }),
  minute: date.getHours() * 60 + date.getMinutes(),
})

/** @example dayAfter('2026-11-30', 2) // '2026-12-02' */
export const dayAfter = (day: string, days: number): string =>
  formatISO(addDays(parseISO(day), days), { representation: 'date' })

/** @example daysBetween('2026-11-26', '2026-12-03') // 7 */
export const daysBetween = (from: string, to: string): number =>
  differenceInCalendarDays(parseISO(to), parseISO(from))

/** The day of the week, Monday is 1. @example weekdayOf('2026-11-26') // 4 */
export const weekdayOf = (day: string): number => getISODay(parseISO(day))

/** The moment, as a date of this machine, that lies so many minutes after the beginning of a day. */
export function dateAt(firstDay: string, minute: number): Date {
  const date = addDays(parseISO(firstDay), Math.floor(minute / DAY_MINUTES))
  date.setHours(0, minute % DAY_MINUTES, 0, 0)
  return date
}
