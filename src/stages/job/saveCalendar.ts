import type { CalendarEntry } from '@/core/formats/calendarFile'
import { fileName } from '@/core/formats/fileName'
import { download } from './download'

/**
 * Hands dates to the builder as a calendar file.
 *
 * @param file what the file is called, without its ending
 */
export async function saveCalendar(
  file: string,
  name: string,
  entries: readonly CalendarEntry[],
): Promise<void> {
  const { writeCalendar } = await import('@/core/formats/calendarFile')
  const stamp = `${new Date().toISOString().slice(0, 19)}Z`
  download(fileName(file, 'ics'), writeCalendar(name, entries, stamp), 'text/calendar;charset=utf-8')
}
