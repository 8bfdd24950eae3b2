import ICAL from 'ical.js'
import type { DaysOffRow } from '../document/plan'

// Calendars in iCalendar (RFC 5545): the plan goes out, days off come in.

/** Something in a calendar: minutes from the midnight of a first day, or whole days. */
export interface CalendarEntry {
  uid: string
  title: string
  note: string
  /** Local dates and times as `2026-11-26T19:00:00`, or a day as `2026-11-26`. */
  from: string
  to: string
}

/** Thrown with what is wrong with a calendar file. */
export class CalendarError extends Error {
  override name = 'CalendarError'
}

const timeOf = (text: string) =>
  text.includes('T') ? ICAL.Time.fromDateTimeString(text) : ICAL.Time.fromDateString(text)

/**
 * Writes a calendar in local time, so that an evening is an evening wherever the file is read.
 *
 * @param stamp when it was made, as `2026-11-26T18:00:00Z`
 */
export function writeCalendar(name: string, entries: readonly CalendarEntry[], stamp: string): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.updatePropertyWithValue('prodid', '-//Dusk Bench//Schedule//EN')
  calendar.updatePropertyWithValue('version', '2.0')
  calendar.updatePropertyWithValue('x-wr-calname', name)
  for (const { uid, title, note, from, to } of entries) {
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue('uid', uid)
    event.updatePropertyWithValue('dtstamp', timeOf(stamp))
    event.updatePropertyWithValue('dtstart', timeOf(from))
    event.updatePropertyWithValue('dtend', timeOf(to))
    event.updatePropertyWithValue('summary', title)
    if (note) event.updatePropertyWithValue('description', note)
    calendar.addSubcomponent(event)
  }
  return `${calendar.toString()}\r\n`
}

/** A calendar of many years is smaller; what is larger is something else. */
export const LARGEST_CALENDAR_BYTES = 2_000_000
const MOST_EVENTS = 5000
/** Days off that come again every year are written out so often. */
const MOST_REPEATS = 60
const MOST_DAYS_OFF = 300

const dayOf = (time: ICAL.Time): string =>
  `${time.year}-${String(time.month).padStart(2, '0')}-${String(time.day).padStart(2, '0')}`

/**
 * Reads days off: the events that last whole days, also those that come again, from a day on.
 *
 * @param ids makes an id for each row
 * @returns the rows, and how many events with hours were left out: those are appointments
 * @throws CalendarError that says what was got and what is taken
 */
export function readDaysOff(
  text: string,
  fromDay: string,
  untilDay: string,
  ids: () => string,
): { rows: DaysOffRow[]; withHours: number } {
  if (text.length > LARGEST_CALENDAR_BYTES)
    throw new CalendarError(
      `The file is too large: got ${(text.length / 1e6).toFixed(1)} MB, takes at most ${LARGEST_CALENDAR_BYTES / 1e6} MB.`,
    )
  let calendar: ICAL.Component
  try {
    calendar = new ICAL.Component(ICAL.parse(text) as unknown[])
  } catch {
    throw new CalendarError(
      'Got a file that is no calendar, takes iCalendar: it begins with BEGIN:VCALENDAR.',
    )
  }
  const all = calendar.name === 'vcalendar' ? calendar.getAllSubcomponents('vevent') : []
  if (all.length === 0)
    throw new CalendarError('Got a calendar without events, takes one with days off in it.')
  if (all.length > MOST_EVENTS)
    throw new CalendarError(`Got ${all.length} events, takes at most ${MOST_EVENTS}.`)
  const rows: DaysOffRow[] = []
  let withHours = 0
  const take = (start: ICAL.Time, end: ICAL.Time | null, why: string) => {
    const last = (end ?? start).clone()
    // A whole day ends where the next begins.
    if (end && end.compare(start) > 0) last.adjust(-1, 0, 0, 0)
    if (dayOf(last) < fromDay || dayOf(start) > untilDay || rows.length >= MOST_DAYS_OFF) return
    rows.push({ id: ids(), fromDay: dayOf(start), toDay: dayOf(last), why: why.slice(0, 80) || 'Away' })
  }
  for (const component of all) {
    const event = new ICAL.Event(component)
    if (!event.startDate) continue
    if (!event.startDate.isDate) {
      withHours++
      continue
    }
    if (!event.isRecurring()) {
      take(event.startDate, event.endDate, event.summary ?? '')
      continue
    }
    const days = event.duration.toSeconds() / 86_400
    const each = event.iterator()
    for (let repeats = 0, next = each.next(); next && repeats < MOST_REPEATS; next = each.next()) {
      if (dayOf(next) > untilDay) break
      if (dayOf(next) < fromDay) continue
      const end = next.clone()
      end.adjust(Math.max(1, days), 0, 0, 0)
      take(next, end, event.summary ?? '')
      repeats++
    }
  }
  return { rows, withHours }
}
