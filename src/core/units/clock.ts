/**
 * A time of the day as it is written on a file and in a time field.
 *
 * @param minute since midnight
 * @example clockWords(1170) // '19:30'
 */
export const clockWords = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`

/**
 * Minutes since midnight; none when it is no time of the day.
 *
 * @example readClock('7:30') // 450
 */
export function readClock(text: string): number | null {
  const [, hours, minutes] = /^\s*(\d{1,2})[:.](\d\d)\s*$/.exec(text) ?? []
  const minute = Number(hours) * 60 + Number(minutes)
  return Number(minutes) < 60 && minute <= 24 * 60 ? minute : null
}
