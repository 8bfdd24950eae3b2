import type { CalendarEntry } from '../formats/calendarFile'

/**
 * What is planned now, with what was planned when a calendar was last given away, lies ahead and is not planned any more: that
 * is called off, so that whoever takes in the new one does not keep both.
 *
 * @param now by the builder's clock, as `2026-11-26T18:00:00`
 */
export function withCalledOff(
  before: readonly CalendarEntry[],
  entries: readonly CalendarEntry[],
  now: string,
): CalendarEntry[] {
  const planned = new Set(entries.map(({ uid }) => uid))
  const gone = before.filter(({ uid, to }) => !planned.has(uid) && to > now)
  return [...entries, ...gone.map(entry => ({ ...entry, isCalledOff: true }))]
}
