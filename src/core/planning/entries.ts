import type { CalendarEntry } from '../formats/calendarFile'
import type { Window } from '../schedule/calendar'
import { clockWords } from '../units/clock'
import { DAY_MINUTES, dayAfter } from './days'
import type { PlannedTask } from './plan'
import type { Task } from './tasks'

/** A planned task with what is known of it. */
export interface Placed extends PlannedTask {
  task: Task
  way: Task['ways'][number]
}

/** The tasks of a plan in the order in which they begin or come, each with what is known of it. */
export function placedTasks(tasks: readonly Task[], planned: readonly PlannedTask[]): Placed[] {
  const byKey = new Map(tasks.map(task => [task.key, task]))
  return planned
    .flatMap(one => {
      const task = byKey.get(one.key)
      const way = task?.ways.find(({ id }) => id === one.wayId)
      return task && way ? [{ ...one, task, way }] : []
    })
    .toSorted((a, b) => turn(a) - turn(b) || a.finishMinute - b.finishMinute)
}
const turn = ({ way, beginMinute, finishMinute }: Placed) => (way.waits ? finishMinute : beginMinute)

/** The stretches in which hands are at a task: what of it lies in each window. */
export const stretches = (
  { beginMinute, finishMinute }: Pick<PlannedTask, 'beginMinute' | 'finishMinute'>,
  windows: readonly Window[],
): Window[] =>
  windows.flatMap(({ fromMinute, toMinute }) => {
    const from = Math.max(fromMinute, beginMinute)
    const to = Math.min(toMinute, finishMinute)
    return to > from ? [{ fromMinute: from, toMinute: to }] : []
  })

const localTime = (firstDay: string, minute: number): string => {
  const day = dayAfter(firstDay, Math.floor(minute / DAY_MINUTES))
  return `${day}T${clockWords(minute % DAY_MINUTES)}:00`
}

/** @example nameOf({ axisName: 'Y', title: 'Bearing block' }) // 'Y: Bearing block' */
export const nameOf = ({ axisName, title }: Pick<Task, 'axisName' | 'title'>): string =>
  axisName ? `${axisName}: ${title}` : title

/** What is said of a task that nobody's hands are at: a parcel comes, all else gets ready. */
export const comesWords = (task: Pick<Task, 'kind' | 'axisName' | 'title'>): string =>
  `${task.kind === 'parcel' ? 'Comes' : 'Ready'}: ${nameOf(task)}`

/** A plan as a calendar has it: work in its stretches, and the days on which something comes. */
export const entriesOf = (
  jobId: string,
  placed: readonly Placed[],
  windows: readonly Window[],
  firstDay: string,
): CalendarEntry[] =>
  placed.flatMap(({ task, way, ...times }): CalendarEntry[] => {
    const uid = (part: number) => `${task.key}-${part}@${jobId}.dusk-bench`
    if (way.waits) {
      const day = dayAfter(firstDay, Math.floor(times.finishMinute / DAY_MINUTES))
      return [
        {
          uid: uid(0),
          title: comesWords(task),
          note: way.words,
          from: day,
          to: dayAfter(day, 1),
        },
      ]
    }
    return stretches(times, windows).map(({ fromMinute, toMinute }, index) => ({
      uid: uid(index),
      title: nameOf(task),
      note: way.words,
      from: localTime(firstDay, fromMinute),
      to: localTime(firstDay, toMinute),
    }))
  })
