import { DAY_MINUTES, dateAt } from '@/core/planning/days'
import { clockTimeWords, nearDayWords } from '@/core/units/dateWords'

/** @example whenWords('2026-11-26', 1140) // 'Thu 26 Nov 19:00' */
export const whenWords = (firstDay: string, minute: number): string => {
  const at = dateAt(firstDay, minute)
  return `${nearDayWords(at)} ${clockTimeWords(at)}`
}

/** From one time to another, the day said once: 'Thu 26 Nov 19:00 to 20:00'. */
export const spanWords = (firstDay: string, fromMinute: number, toMinute: number): string =>
  Math.floor(fromMinute / DAY_MINUTES) === Math.floor(toMinute / DAY_MINUTES)
    ? `${whenWords(firstDay, fromMinute)} to ${clockTimeWords(dateAt(firstDay, toMinute))}`
    : `${whenWords(firstDay, fromMinute)} to ${whenWords(firstDay, toMinute)}`

/** @example lengthWords(150) // '2 h 30 min' */
export function lengthWords(minutes: number): string {
  if (minutes >= 2 * DAY_MINUTES) return `${Math.round(minutes / DAY_MINUTES)} days`
  if (minutes < 60) return `${minutes} min`
  const rest = minutes % 60
  return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${rest} min`
}

/** Minutes of hands, in hours once they are many. @example workWords(3308) // '55 h' */
export const workWords = (minutes: number): string =>
  minutes >= 600 ? `${Math.round(minutes / 60)} h` : lengthWords(minutes)

/** How certain it is that nothing is finished earlier. */
export function boundWords(
  { proved, finishMinute, boundMinute }: { proved: boolean; finishMinute: number; boundMinute: number },
  nowMinute: number,
): string {
  if (proved || boundMinute >= finishMinute) return 'Nothing gets it done sooner: that is proved.'
  const share = (100 * (finishMinute - boundMinute)) / Math.max(1, finishMinute - nowMinute)
  return `Within ${Math.max(0.1, Math.ceil(share * 10) / 10)} % of what is possible at all.`
}
