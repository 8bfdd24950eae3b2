// The platform's own words for dates: a package for them would weigh on every first screen.
const MONTH = new Intl.DateTimeFormat('en-US', { month: 'short' })
const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })

/**
 * A moment as a day, in the builder's own time zone.
 *
 * @example dayWords('2026-11-02T18:30:00.000Z') // '2 Nov 2026'
 */
export function dayWords(at: string): string {
  const date = new Date(at)
  return `${date.getDate()} ${MONTH.format(date)} ${date.getFullYear()}`
}

/**
 * A moment as a day and a time, in the builder's own time zone.
 *
 * @example momentWords('2026-11-02T18:30:00.000Z') // '2 Nov 2026 18:30', in Greenwich
 */
export const momentWords = (at: string): string => `${dayWords(at)} ${TIME.format(new Date(at))}`
