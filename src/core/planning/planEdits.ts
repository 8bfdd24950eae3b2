import type { Edit } from '../document/edit'
import type { Job } from '../document/job'
import { type DaysOffRow, NO_NOTE, stepTaskKey, type TaskNote } from '../document/plan'
import type { Task } from './tasks'

/** What is noted of a task goes by. */
type NotedTask = Pick<Task, 'key' | 'axisId' | 'axisName' | 'title' | 'note'>

const nameOf = ({ axisName, title }: Pick<Task, 'axisName' | 'title'>) =>
  axisName ? `${title}, axis ${axisName}` : title

const onNote =
  (key: string, change: Partial<TaskNote>): Edit['run'] =>
  (job: Job) => {
    job.plan.tasks[key] = { ...(job.plan.tasks[key] ?? NO_NOTE), ...change }
  }

/** So long after it was begun a task may still have been worked on without a break. */
const LONGEST_SITTING_MINUTES = 12 * 60

/** Minutes from the start to the end of a task; none when nobody started it, or a night lies between. */
export function minutesTaken(startedAt: string | null, doneAt: string): number | null {
  if (!startedAt) return null
  const minutes = Math.round((Date.parse(doneAt) - Date.parse(startedAt)) / 60_000)
  return minutes >= 1 && minutes <= LONGEST_SITTING_MINUTES ? minutes : null
}

/** Notes that work on a task begins. */
export const startTask = (task: NotedTask, at: string): Edit => ({
  label: `${nameOf(task)}: begun`,
  run: onNote(task.key, { startedAt: at }),
})

/** Notes that work on a step of the build begins: its minutes count from here, and only then. */
export const startStep = (axisId: string, step: { id: string; title: string }, at: string): Edit => ({
  label: `${step.title}: begun`,
  run: onNote(stepTaskKey(axisId, step.id), { startedAt: at }),
})

/** An edit that also ends the time of a step: opened again, it is timed anew. */
export const endingTimeOf = (edit: Edit, axisId: string, stepId: string): Edit => ({
  ...edit,
  run: (job, ...rest) => {
    edit.run(job, ...rest)
    delete job.plan.tasks[stepTaskKey(axisId, stepId)]
  },
})

/** When work on a step began; null while nobody started its time. */
export const stepStartedAt = (job: Job, axisId: string, stepId: string): string | null =>
  job.plan.tasks[stepTaskKey(axisId, stepId)]?.startedAt ?? null

/** Notes that a task is done, and what it took when it was started. */
export function finishTask(task: NotedTask, at: string): Edit {
  const tookMinutes = minutesTaken(task.note.startedAt, at)
  const text = `Done: ${nameOf(task)}${tookMinutes === null ? '' : `, ${tookMinutes} min`}.`
  return {
    label: `${nameOf(task)}: done`,
    run: onNote(task.key, { doneAt: at, tookMinutes }),
    entry: { axisId: task.axisId, kind: 'step', text },
  }
}

/** Takes a note back that a task is done. */
export const reopenTask = (task: NotedTask): Edit => ({
  label: `${nameOf(task)}: open again`,
  run: onNote(task.key, { doneAt: null, tookMinutes: null }),
  entry: { axisId: task.axisId, kind: 'step', text: `Open again: ${nameOf(task)}.` },
})

/** Settles on a way to do a task; none leaves it to the schedule. */
export const setWay = (task: Task, way: string | null): Edit => ({
  label: `${nameOf(task)}: way`,
  run: onNote(task.key, { way, minutes: null }),
})

/** Sets what a task takes, done the way that it is planned. */
export const setMinutes = (task: Task, minutes: number | null, wayId: string, mergeKey?: string): Edit => ({
  label: `${nameOf(task)}: minutes`,
  mergeKey,
  run: onNote(task.key, { minutes, ...(task.ways.length > 1 && minutes !== null ? { way: wayId } : {}) }),
})

/** Says whether another mill, or somebody who makes parts, can be had. */
export const setHelp = (help: 'otherMill' | 'elsewhere', isThere: boolean): Edit => ({
  label: help === 'otherMill' ? 'Another mill' : 'Parts made by others',
  run: job => {
    job.plan[help] = isThere
  },
})

/** Takes days off out of a calendar file, beside those that stand there; the same ones are taken once. */
export const addDaysOff = (rows: readonly DaysOffRow[], fileName: string): Edit => ({
  label: `Days off from ${fileName}`,
  run: job => {
    const known = new Set(job.plan.daysOff.map(({ fromDay, toDay }) => `${fromDay} ${toDay}`))
    for (const row of rows) if (!known.has(`${row.fromDay} ${row.toDay}`)) job.plan.daysOff.push(row)
  },
})
