import type { CalendarEntry } from '@/core/formats/calendarFile'
import { withCalledOff } from '@/core/planning/calledOff'
import { nowOf } from '@/core/planning/days'
import { clockWords } from '@/core/units/clock'
import type { DuskDatabase } from './database'

/** Where it is noted what was given away of a job. */
export const calendarsOf = (jobId: string): string => `calendar:${jobId}:`

/** What a calendar of a job is to hold: what is planned, and what one that was given away before has too much. Notes it. */
export async function forCalendar(
  db: DuskDatabase,
  jobId: string,
  kind: string,
  entries: readonly CalendarEntry[],
): Promise<CalendarEntry[]> {
  const { day, minute } = nowOf(new Date())
  return db.transaction('rw', db.settings, async () => {
    const key = calendarsOf(jobId) + kind
    const before = ((await db.settings.get(key))?.value ?? []) as CalendarEntry[]
    const all = withCalledOff(before, entries, `${day}T${clockWords(minute)}:00`)
    await db.settings.put({ key, value: all })
    return all
  })
}
