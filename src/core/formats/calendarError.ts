/** Thrown with what is wrong with a calendar file. */
export class CalendarError extends Error {
  override name = 'CalendarError'
}

const MEGABYTE = 1_000_000
/** A calendar of many years is smaller; what is larger is something else. */
const LARGEST_MB = 2

/** Refuses what is too large, before it is read. @throws CalendarError that says how large it is */
export function refuseLargeCalendar(bytes: number): void {
  if (bytes > LARGEST_MB * MEGABYTE)
    throw new CalendarError(
      `The file is too large: got ${(bytes / MEGABYTE).toFixed(1)} MB, takes at most ${LARGEST_MB} MB.`,
    )
}
