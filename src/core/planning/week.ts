import type { Job } from '../document/job'
import type { Catalogue } from '../document/parts/types'
import { DAY_MINUTES, dayAfter, type Now } from './days'
import { comesWords, nameOf, placedTasks, stretches } from './entries'
import { windowsFrom } from './hours'
import type { PlannedJob } from './plan'
import { tasksOf } from './tasks'

export const WEEK_DAYS = 7

/** What a plan lays on one day of the coming week. */
export interface WeekLine {
  day: string
  /** Work of hands has minutes; what comes or gets ready by itself has none. */
  minutes: number | null
  text: string
}

/** The coming week of one machine. */
export interface Week {
  lines: WeekLine[]
  /** Minutes of its working hours on each day that has any. */
  hours: Readonly<Record<string, number>>
}

/**
 * What a plan lays into the seven days from now on: work by the minutes of its stretches, and what comes.
 *
 * @param planned the plan of the job, laid from the same moment
 * @returns lines by day, work before what comes
 */
export function weekOf(job: Job, catalogue: Catalogue, planned: PlannedJob, now: Now): Week {
  const { tasks } = tasksOf(job, catalogue, now)
  const end = WEEK_DAYS * DAY_MINUTES
  const windows = windowsFrom(job.plan, now.day, now.minute).filter(({ fromMinute }) => fromMinute < end)
  const dayOf = (minute: number) => dayAfter(now.day, Math.floor(minute / DAY_MINUTES))
  const hours: Record<string, number> = {}
  for (const { fromMinute, toMinute } of windows)
    hours[dayOf(fromMinute)] = (hours[dayOf(fromMinute)] ?? 0) + toMinute - fromMinute
  const lines = placedTasks(tasks, planned.tasks).flatMap(({ task, way, ...times }): WeekLine[] => {
    if (way.waits)
      return times.finishMinute < end
        ? [
            {
              day: dayOf(times.finishMinute),
              minutes: null,
              text: comesWords(task),
            },
          ]
        : []
    const byDay = new Map<string, number>()
    for (const { fromMinute, toMinute } of stretches(times, windows))
      byDay.set(dayOf(fromMinute), (byDay.get(dayOf(fromMinute)) ?? 0) + toMinute - fromMinute)
    return [...byDay].map(([day, minutes]) => ({ day, minutes, text: nameOf(task) }))
  })
  return { lines: lines.toSorted((a, b) => a.day.localeCompare(b.day)), hours }
}
