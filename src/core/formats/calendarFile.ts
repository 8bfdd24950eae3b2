import ICAL from 'ical.js'

// Calendars in iCalendar (RFC 5545): the plan goes out.

/** Something in a calendar: minutes from the midnight of a first day, or whole days. */
export interface CalendarEntry {
  uid: string
  title: string
  note: string
  /** Local dates and times as `2026-11-26T19:00:00`, or a day as `2026-11-26`. */
  from: string
  to: string
  /** It was in a calendar that was given away before, and is not planned any more. */
  isCalledOff?: boolean
}

const timeOf = (text: string) =>
  text.includes('T') ? ICAL.Time.fromDateTimeString(text) : ICAL.Time.fromDateString(text)

/** Of two versions of one entry a calendar keeps the one that was made later: by the minute. */
const sequenceOf = (stamp: string) =>
  Math.floor((Date.parse(stamp) - Date.parse('2020-01-01T00:00:00Z')) / 60_000)

/**
 * Writes a calendar in local time, so that an evening is an evening wherever the file is read. Whole days are days on which
 * something comes or is due: they block nothing.
 *
 * @param stamp when it was made, as `2026-11-26T18:00:00Z`
 */
export function writeCalendar(name: string, entries: readonly CalendarEntry[], stamp: string): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.updatePropertyWithValue('prodid', '-//Dusk Bench//Schedule//EN')
  calendar.updatePropertyWithValue('version', '2.0')
  calendar.updatePropertyWithValue('method', 'PUBLISH')
  calendar.updatePropertyWithValue('x-wr-calname', name)
  for (const { uid, title, note, from, to, isCalledOff } of entries) {
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue('uid', uid)
    event.updatePropertyWithValue('dtstamp', timeOf(stamp))
    event.updatePropertyWithValue('dtstart', timeOf(from))
    event.updatePropertyWithValue('dtend', timeOf(to))
    event.updatePropertyWithValue('summary', title)
    event.updatePropertyWithValue('sequence', sequenceOf(stamp))
    event.updatePropertyWithValue('transp', from.includes('T') && !isCalledOff ? 'OPAQUE' : 'TRANSPARENT')
    event.updatePropertyWithValue('status', isCalledOff ? 'CANCELLED' : 'CONFIRMED')
    if (note) event.updatePropertyWithValue('description', note)
    calendar.addSubcomponent(event)
  }
  return `${calendar.toString()}\r\n`
}
