import type { Job } from '@/core/document/job'
import type { CalendarEntry } from '@/core/formats/calendarFile'
import { fileName } from '@/core/formats/fileName'
import { getDatabase } from '@/store/database'
import { download } from './download'

/**
 * Hands dates of a job to the builder as a calendar file. What one that was handed out before has too much is called off in it.
 *
 * @param kind of dates, such as `schedule`
 */
export async function saveCalendar(
  { id, name }: Job,
  kind: string,
  entries: readonly CalendarEntry[],
): Promise<void> {
  const [{ writeCalendar }, { forCalendar }] = await Promise.all([
    import('@/core/formats/calendarFile'),
    import('@/store/calendars'),
  ])
  const stamp = `${new Date().toISOString().slice(0, 19)}Z`
  const all = await forCalendar(getDatabase(), id, kind, entries)
  download(
    fileName(`${name} ${kind}`, 'ics'),
    writeCalendar(`${name}, ${kind}`, all, stamp),
    'text/calendar;charset=utf-8',
  )
}
