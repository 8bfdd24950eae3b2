import type { Edit } from './edit'
import { newId } from './id'
import type { Job } from './job'
import { touch } from './touched'
import { type HourReading, UPKEEP_TASKS, UPKEEP_WORDS, type UpkeepTask } from './upkeep'

/** What is set anew changes what was read on the axis; greasing and proving do not. */
const SETS: readonly UpkeepTask['kind'][] = ['belt', 'gib', 'locknut', 'screws']
/** Whether something is checked and, where it has to be, set anew: which of the two it was is asked. */
export const maySet = ({ kind }: Pick<UpkeepTask, 'kind'>): boolean => SETS.includes(kind)

/** Puts down what was done on a day, in the log too. */
export const doneUpkeep = (
  task: UpkeepTask,
  onDay: string,
  { hours, isSetAnew }: { hours: number | null; isSetAnew: boolean },
): Edit => {
  const what = task.what || UPKEEP_WORDS[task.kind]
  const how = maySet(task) ? (isSetAnew ? ', set anew' : ', found good') : ''
  return {
    label: `Upkeep done: ${what}`.slice(0, 120),
    run: (job, at) => {
      const row = job.upkeep.tasks.find(({ id }) => id === task.id)
      if (row) Object.assign(row, { doneDay: onDay, doneHours: hours })
      const axis = job.axes.find(({ id }) => id === task.axisId)
      if (axis && isSetAnew) touch(axis, at, what)
    },
    entry: {
      axisId: task.axisId,
      kind: 'upkeep',
      text: `Upkeep: ${what}${how}${hours === null ? '' : `, at ${Math.round(hours)} h`}.`,
    },
  }
}

/** Puts rows of upkeep in; those that stand there already, by axis and kind, stay as they are. */
export const addUpkeep = (tasks: readonly Omit<UpkeepTask, 'id'>[]): Edit => ({
  label: 'Usual upkeep put in',
  run: job => {
    const known = new Set(job.upkeep.tasks.map(({ axisId, kind }) => `${axisId} ${kind}`))
    for (const task of tasks)
      if (!known.has(`${task.axisId} ${task.kind}`) && job.upkeep.tasks.length < UPKEEP_TASKS.most)
        job.upkeep.tasks.push({ ...task, id: newId() })
  },
})

/** Notes what the counter shows on a day; a second reading of one day stands in place of the first. */
export const readHours = (day: string, hours: number): Edit => ({
  label: 'Hour counter read',
  run: (job: Job) => {
    const there = job.upkeep.readings.find(one => one.day === day)
    if (there) there.hours = hours
    else job.upkeep.readings.push({ id: newId(), day, hours } satisfies HourReading)
  },
})
