// The platform's own words for dates, in the language of the browser: a package for them would weigh on every first screen.
const formats = new Map<string, Intl.DateTimeFormat>()
let locale: string | undefined = 'en-GB'

/** Sets the language of dates: once, where a page starts; by default that of the browser. */
export function setDateLocale(next?: string): void {
  locale = next
  formats.clear()
}

const print = (at: Date, options: Intl.DateTimeFormatOptions) => {
  const key = JSON.stringify(options)
  const format = formats.get(key) ?? new Intl.DateTimeFormat(locale, options)
  formats.set(key, format)
  return format.format(at)
}
const TIME = { timeStyle: 'short' } as const

/** A day by itself is that day wherever one lives; the language would take it for a midnight in Greenwich. */
const asDate = (at: string) => new Date(at.includes('T') ? at : `${at}T00:00:00`)

/**
 * A moment as a day in the builder's own time zone, or a day of the calendar.
 *
 * @example dayWords('2026-11-02') // '2 Nov 2026'
 * @example dayWords('2026-11-02T18:30:00.000Z') // '2 Nov 2026'
 */
export const dayWords = (at: string): string =>
  print(asDate(at), { day: 'numeric', month: 'short', year: 'numeric' })

/**
 * A moment as a day and a time, in the builder's own time zone.
 *
 * @example momentWords('2026-11-02T18:30:00.000Z') // '2 Nov 2026 18:30', in Greenwich
 */
export const momentWords = (at: string): string => `${dayWords(at)} ${print(new Date(at), TIME)}`

/** A moment as a time, to the second. */
export const timeWords = (at: string): string => print(new Date(at), { timeStyle: 'medium' })

/**
 * A day of the coming weeks with its weekday: what a plan is read by.
 *
 * @example nearDayWords(new Date(2026, 10, 26)) // 'Thu 26 Nov'
 */
export const nearDayWords = (at: Date): string =>
  print(at, { weekday: 'short', day: 'numeric', month: 'short' })

/** @example shortDayWords(new Date(2026, 10, 26)) // '26 Nov' */
export const shortDayWords = (at: Date): string => print(at, { day: 'numeric', month: 'short' })

/** @example clockTimeWords(new Date(2026, 10, 26, 19, 30)) // '19:30' */
export const clockTimeWords = (at: Date): string => print(at, TIME)
