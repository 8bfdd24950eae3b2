import { RRule } from 'rrule'
import type { DaysOffRow } from '../document/plan'
import { CalendarError, refuseLargeCalendar } from './calendarError'

// Days off out of calendars (RFC 5545). Whole days alone are reckoned with, as numbers of days, so that no length and no
// rule of a file makes long work.

/** The days that a plan looks at, and how many stretches of days off it still takes. */
export interface DaysWindow {
  fromDay: string
  untilDay: string
  most: number
}
/** What a calendar has in a window, and what was left out of it. */
export interface DaysOffFile {
  rows: DaysOffRow[]
  /** Events with hours: appointments. */
  withHours: number
  /** Events that block no day, or were called off. */
  free: number
  /** Stretches beyond what the plan takes, and the day on which the first of them begins. */
  beyond: { count: number; fromDay: string } | null
}

const MOST_EVENTS = 5000
/** Ten years: longer is no time off. */
const LONGEST_DAYS = 3660
const DAY_MS = 86_400_000

const FREQUENCIES = ['DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY']
/** What a rule may have; the hours of a whole day mean nothing. */
const OF_HOURS = new Set(['BYHOUR', 'BYMINUTE', 'BYSECOND'])
const PARTS = new Set([
  'FREQ',
  'INTERVAL',
  'COUNT',
  'UNTIL',
  'BYDAY',
  'BYMONTH',
  'BYMONTHDAY',
  'BYYEARDAY',
  'BYWEEKNO',
  'BYSETPOS',
  'WKST',
  ...OF_HOURS,
])
const STEP_DAYS: Readonly<Record<string, number>> = { DAILY: 1, WEEKLY: 7 }

interface Line {
  line: number
  name: string
  params: Readonly<Record<string, string>>
  value: string
}
/** A moment of a calendar: its day, counted from 1970, and whether it has hours other than midnight. */
interface Moment {
  day: number
  isDate: boolean
  isMidnight: boolean
}
interface Event {
  line: number
  uid: string
  sequence: number
  /** The day of the occurrence that this event stands in for. */
  replaces: number | null
  isFree: boolean
  /** Null where it is an appointment. */
  whole: { start: number; days: number; rules: Line[]; also: number[]; never: Set<number> } | null
  summary: string
}

/** Days without work, by their numbers, the last one counted in. */
interface Stretch {
  start: number
  end: number
  why: string
}

const dayText = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10)
const dayNumber = (text: string): number => Date.parse(text) / DAY_MS

function refuse({ line, name, value }: Line, takes: string): never {
  throw new CalendarError(`Line ${line}, ${name}: got ${value.slice(0, 40) || 'nothing'}, takes ${takes}.`)
}

/** The lines of a calendar, put together again where they were folded, each with its place in the file. */
function* linesOf(text: string): Generator<Line> {
  const all = text.split(/\r\n|\r|\n/)
  for (let index = 0; index < all.length; index++) {
    const line = index + 1
    const parts = [all[index] ?? '']
    while (/^[ \t]/.test(all[index + 1] ?? '')) parts.push((all[++index] as string).slice(1))
    const whole = parts.join('')
    const [, name = '', params = '', value = ''] =
      /^([A-Za-z0-9-]+)((?:;[^=:;"]+=(?:"[^"]*"|[^":;])*)*):(.*)$/s.exec(whole) ?? []
    if (name === '') continue
    yield { line, name: name.toUpperCase(), params: paramsOf(params), value: value.trim() }
  }
}
const paramsOf = (text: string) =>
  Object.fromEntries(
    [...text.matchAll(/;([^=]+)=("[^"]*"|[^;]*)/g)].map(([, name = '', value = '']) => [
      name.toUpperCase(),
      value.replaceAll('"', ''),
    ]),
  )

/** A day, or a day with a time, that exists. @throws CalendarError with its line */
function momentOf(line: Line, text = line.value): Moment {
  const [, y = '', m = '', d = '', time, h = '', min = '', s = '', z] =
    /^(\d{4})(\d{2})(\d{2})(T(\d{2})(\d{2})(\d{2})(Z?))?$/.exec(text) ?? []
  const day = Date.UTC(Number(y), Number(m) - 1, Number(d)) / DAY_MS
  const exists = y !== '' && Number(y) > 0 && dayText(day).replaceAll('-', '') === y + m + d
  if (!exists || Number(h) > 23 || Number(min) > 59 || Number(s) > 60)
    refuse({ ...line, value: text }, 'a day that exists, such as 20261224')
  if (!time) return { day, isDate: true, isMidnight: true }
  if (!z) return { day, isDate: false, isMidnight: h + min + s === '000000' }
  // Elsewhere's midnight is none here: as the clock of this machine shows it.
  const local = new Date(Date.UTC(Number(y), Number(m) - 1, Number(d), Number(h), Number(min), Number(s)))
  return {
    day: Date.UTC(local.getFullYear(), local.getMonth(), local.getDate()) / DAY_MS,
    isDate: false,
    isMidnight: local.getHours() + local.getMinutes() + local.getSeconds() === 0,
  }
}
const momentsOf = (line: Line): number[] =>
  // Of a period, when it begins.
  line.value.split(',').map(one => momentOf(line, (one.split('/')[0] ?? '').trim()).day)

/** How many days a length is, and whether they are whole. @throws CalendarError with its line */
function lengthOf(line: Line): { days: number; isWhole: boolean } {
  const match =
    /^\+?P(?:(\d{1,9})W)?(?:(\d{1,9})D)?(?:T(?:(\d{1,9})H)?(?:(\d{1,9})M)?(?:(\d{1,9})S)?)?$/.exec(line.value)
  const [weeks, days, hours, minutes, seconds] = (match ?? []).slice(1).map(one => Number(one ?? 0))
  const all =
    (weeks ?? 0) * 7 + (days ?? 0) + ((hours ?? 0) * 3600 + (minutes ?? 0) * 60 + (seconds ?? 0)) / 86_400
  if (!match || !/\d/.test(line.value) || all > LONGEST_DAYS)
    refuse(line, `a length of at most ten years, such as P3D`)
  return { days: Math.max(1, Math.ceil(all)), isWhole: Number.isInteger(all) && all > 0 }
}

/** What a rule says, as far as whole days can come again by it. @throws CalendarError with its line */
function partsOf(line: Line): Record<string, string> {
  const parts = Object.fromEntries(
    line.value
      .toUpperCase()
      .split(';')
      .filter(Boolean)
      .map((part): [string, string] => {
        const [name = '', value = ''] = part.split('=', 2)
        return [name, value]
      }),
  )
  const unknown = Object.keys(parts).find(name => !PARTS.has(name))
  if (unknown !== undefined)
    refuse({ ...line, value: unknown }, `parts such as ${[...PARTS].slice(0, 5).join(', ')}`)
  if (parts.WKST !== undefined && !/^(MO|TU|WE|TH|FR|SA|SU)$/.test(parts.WKST))
    refuse({ ...line, value: `WKST=${parts.WKST}` }, 'a day of the week such as MO')
  const whole = (name: string, min: number, max: number) => {
    for (const one of (parts[name] ?? String(max)).split(','))
      if (!/^[+-]?\d{1,9}$/.test(one) || Math.abs(Number(one)) < min || Math.abs(Number(one)) > max)
        refuse({ ...line, value: `${name}=${parts[name]}` }, `whole numbers from ${min} to ${max}`)
  }
  if (!FREQUENCIES.includes(parts.FREQ ?? ''))
    refuse({ ...line, value: `FREQ=${parts.FREQ ?? ''}` }, `one of ${FREQUENCIES.join(', ')}`)
  if (parts.INTERVAL?.startsWith('-'))
    refuse({ ...line, value: `INTERVAL=${parts.INTERVAL}` }, 'a number over 0')
  whole('INTERVAL', 1, 10_000)
  whole('COUNT', 1, 100_000)
  whole('BYMONTH', 1, 12)
  whole('BYMONTHDAY', 1, 31)
  whole('BYYEARDAY', 1, 366)
  whole('BYWEEKNO', 1, 53)
  whole('BYSETPOS', 1, 366)
  refuseEndless(line, parts)
  if (
    parts.BYDAY !== undefined &&
    !/^([+-]?[1-9]\d?)?(MO|TU|WE|TH|FR|SA|SU)(,([+-]?[1-9]\d?)?(MO|TU|WE|TH|FR|SA|SU))*$/.test(parts.BYDAY)
  )
    refuse({ ...line, value: `BYDAY=${parts.BYDAY}` }, 'days of the week such as MO or 2FR')
  return parts
}

/** What of a rule can never be, by day or by week, and would be looked for for ever. @throws CalendarError with its line */
function refuseEndless(line: Line, parts: Record<string, string>): void {
  const step = STEP_DAYS[parts.FREQ ?? '']
  if (step === undefined) return
  if (/\d/.test(parts.BYDAY ?? ''))
    refuse(
      { ...line, value: `BYDAY=${parts.BYDAY}` },
      `days of the week without a number where it is ${parts.FREQ}`,
    )
  const most = step === 1 ? 1 : (parts.BYDAY?.split(',').length ?? 1)
  if (listed(parts.BYSETPOS)?.some(place => Math.abs(place) > most))
    refuse({ ...line, value: `BYSETPOS=${parts.BYSETPOS}` }, `at most ${most} where it is ${parts.FREQ}`)
}

const listed = (text: string | undefined) => text?.split(',').map(Number)

/**
 * Whether there is any day in four years that a rule's months and days of them allow: where there is none, whoever looks for
 * the first looks for ever.
 */
function canBe(parts: Record<string, string>): boolean {
  const [months, monthDays, yearDays] = [parts.BYMONTH, parts.BYMONTHDAY, parts.BYYEARDAY].map(listed)
  if (!months && !monthDays && !yearDays) return true
  const first = dayNumber('2024-01-01')
  for (let day = first; day < first + 1461; day++) {
    const date = new Date(day * DAY_MS)
    const [year, month] = [date.getUTCFullYear(), date.getUTCMonth()]
    const inMonth = date.getUTCDate()
    const ofMonth = new Date(Date.UTC(year, month + 1, 0)).getUTCDate()
    const inYear = day - Date.UTC(year, 0, 1) / DAY_MS + 1
    const ofYear = (Date.UTC(year + 1, 0, 1) - Date.UTC(year, 0, 1)) / DAY_MS
    if (
      (months?.includes(month + 1) ?? true) &&
      (!monthDays || monthDays.includes(inMonth) || monthDays.includes(inMonth - ofMonth - 1)) &&
      (!yearDays || yearDays.includes(inYear) || yearDays.includes(inYear - ofYear - 1))
    )
      return true
  }
  return false
}

/** The days from one to another on which something begins that comes again by a rule. @throws CalendarError with its line */
function daysByRule(line: Line, start: number, from: number, until: number): number[] {
  const parts = partsOf(line)
  const { UNTIL: end, COUNT, ...rest } = parts
  const last =
    end === undefined ? until : Math.min(until, momentOf({ ...line, name: `${line.name} UNTIL` }, end).day)
  if (last < start || !canBe(parts)) return []
  // Straight to the first one that is wanted, where nothing was counted on the way and the steps are even.
  const step = (STEP_DAYS[parts.FREQ ?? ''] ?? 0) * Number(parts.INTERVAL ?? 1)
  const skipped = step > 0 && COUNT === undefined ? Math.max(0, Math.floor((from - start) / step)) * step : 0
  const rule = new RRule({
    ...RRule.parseString(
      Object.entries(rest)
        .filter(([name]) => !OF_HOURS.has(name))
        .map(part => part.join('='))
        .join(';'),
    ),
    dtstart: new Date((start + skipped) * DAY_MS),
    until: new Date(last * DAY_MS),
    ...(COUNT !== undefined && { count: Number(COUNT) }),
    byhour: null,
    byminute: null,
    bysecond: null,
  })
  return rule
    .between(new Date(from * DAY_MS), new Date(last * DAY_MS), true)
    .map(date => Math.floor(date.getTime() / DAY_MS))
}

/** The words of a line, as they were before they were escaped. */
const wordsOf = ({ value }: Line) =>
  value.replace(/\\([nN,;\\])/g, (_, sign) => (/n/i.test(sign) ? ' ' : sign))

function eventOf(line: number, lines: readonly Line[], isCalledOff: boolean): Event {
  const all = (name: string) => lines.filter(one => one.name === name)
  const [at, end, length] = [all('DTSTART')[0], all('DTEND')[0], all('DURATION')[0]]
  if (!at) throw new CalendarError(`Line ${line}: got an event without DTSTART, takes when it begins.`)
  const start = momentOf(at)
  const days = wholeDays(start, end, length)
  const [words, id, sequence, replaces] = ['SUMMARY', 'UID', 'SEQUENCE', 'RECURRENCE-ID'].map(
    name => all(name)[0],
  )
  return {
    line,
    uid: id?.value ?? `line ${line}`,
    sequence: Number(sequence?.value) || 0,
    replaces: replaces ? momentOf(replaces).day : null,
    isFree:
      isCalledOff ||
      /^cancelled$/i.test(all('STATUS')[0]?.value ?? '') ||
      /^transparent$/i.test(all('TRANSP')[0]?.value ?? ''),
    whole:
      days === null
        ? null
        : {
            start: start.day,
            days,
            rules: all('RRULE'),
            also: all('RDATE').flatMap(momentsOf),
            never: new Set(all('EXDATE').flatMap(momentsOf)),
          },
    summary: words ? wordsOf(words).trim() : '',
  }
}

/** How many whole days an event lasts, also where they are written from midnight to midnight; null for an appointment. */
function wholeDays(start: Moment, end: Line | undefined, length: Line | undefined): number | null {
  if (end) {
    const over = momentOf(end)
    const days = over.day - start.day
    if (days < 0) refuse(end, `a day after ${dayText(start.day)}`)
    if (days > LONGEST_DAYS) refuse(end, 'an end within ten years of the beginning')
    if (!start.isMidnight || !over.isMidnight || (!start.isDate && days === 0)) return null
    return Math.max(1, days)
  }
  if (length) {
    const { days, isWhole } = lengthOf(length)
    return start.isMidnight && (start.isDate || isWhole) ? days : null
  }
  return start.isDate ? 1 : null
}

function eventsIn(text: string): Event[] {
  const open: { name: string; line: number }[] = []
  const events: Event[] = []
  let calledOff = false
  let lines: Line[] = []
  let calendars = 0
  for (const one of linesOf(text)) {
    const inside = open.at(-1)?.name
    const named = one.value.toUpperCase()
    if (one.name === 'BEGIN') {
      open.push({ name: named, line: one.line })
      if (named === 'VCALENDAR') {
        calendars++
        calledOff = false
      }
      if (named === 'VEVENT') lines = []
    } else if (one.name === 'END') {
      const begun = open.pop()
      if (begun?.name !== named)
        refuse(one, begun ? `END:${begun.name}, begun on line ${begun.line}` : 'BEGIN first')
      if (named === 'VEVENT') {
        events.push(eventOf(begun.line, lines, calledOff))
        if (events.length > MOST_EVENTS)
          throw new CalendarError(`Got more than ${MOST_EVENTS} events, takes at most that.`)
      }
    } else if (inside === 'VEVENT') lines.push(one)
    else if (inside === 'VCALENDAR' && one.name === 'METHOD') calledOff = named === 'CANCEL'
  }
  if (calendars === 0)
    throw new CalendarError(
      'Got a file that is no calendar, takes iCalendar: it begins with BEGIN:VCALENDAR.',
    )
  const [begun] = open.slice(-1)
  if (begun)
    throw new CalendarError(
      `The file ends within what begins on line ${begun.line}: it looks cut short. Copy it again from where it came.`,
    )
  return events
}

/** Of several versions of one event, or of one of its occurrences, the last. */
function latest(events: readonly Event[]): Event[] {
  const byName = new Map<string, Event>()
  for (const event of events) {
    const name = `${event.uid} ${event.replaces ?? ''}`
    const known = byName.get(name)
    if (!known || event.sequence >= known.sequence) byName.set(name, event)
  }
  return [...byName.values()]
}

/**
 * Reads days off: what lasts whole days, also what comes again, as far as it touches a window of days. What was called off or
 * blocks no day is none; an occurrence that was moved counts where it was moved to.
 *
 * @param ids makes an id for each row
 * @returns the rows, in the order of their days, and what was left out
 * @throws CalendarError that says what was got and what is taken, with its line
 */
export function readDaysOff(
  text: string,
  { fromDay, untilDay, most }: DaysWindow,
  ids: () => string,
): DaysOffFile {
  refuseLargeCalendar(text.length)
  const all = eventsIn(text.replace(/^\ufeff/, ''))
  if (all.length === 0)
    throw new CalendarError('Got a calendar without events, takes one with days off in it.')
  const events = latest(all)
  const replaced = new Map<string, Set<number>>()
  for (const { uid, replaces } of events)
    if (replaces !== null) replaced.set(uid, (replaced.get(uid) ?? new Set()).add(replaces))
  const [from, until] = [dayNumber(fromDay), dayNumber(untilDay)]
  const found: Stretch[] = []
  for (const { uid, replaces, whole, isFree, summary } of events) {
    if (!whole || isFree) continue
    const { start, days, rules, also, never } = whole
    const earliest = from - days + 1
    const starts =
      replaces !== null
        ? [start]
        : [start, ...also, ...rules.flatMap(rule => daysByRule(rule, start, earliest, until))]
    for (const day of new Set(starts)) {
      if (day < earliest || day > until) continue
      if (replaces === null && (never.has(day) || replaced.get(uid)?.has(day))) continue
      found.push({ start: day, end: day + days - 1, why: summary.slice(0, 80).toWellFormed() || 'Away' })
    }
  }
  const rows = joined(found)
  const [first] = rows.slice(most)
  return {
    rows: rows
      .slice(0, most)
      .map(({ start, end, why }) => ({ id: ids(), fromDay: dayText(start), toDay: dayText(end), why })),
    withHours: events.filter(({ whole }) => !whole).length,
    free: events.filter(({ whole, isFree }) => whole && isFree).length,
    beyond: first ? { count: rows.length - most, fromDay: dayText(first.start) } : null,
  }
}

/** Stretches of one reason that touch each other, as one; in the order of their days. */
function joined(found: readonly Stretch[]): Stretch[] {
  const rows: Stretch[] = []
  const lastOf = new Map<string, Stretch>()
  for (const one of found.toSorted((a, b) => a.start - b.start)) {
    const last = lastOf.get(one.why)
    if (last && one.start <= last.end + 1) last.end = Math.max(last.end, one.end)
    else {
      const row = { ...one }
      rows.push(row)
      lastOf.set(one.why, row)
    }
  }
  return rows
}
