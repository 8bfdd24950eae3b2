import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import type { EvaluationContext } from '../evaluation/context'
import { knownSteps } from '../sheets/shared/steps/procedure'
import { KINDS, TASK_KINDS, type TaskKind } from './taskKinds'

/** Between two ticks of one sitting. */
const LONGEST_PAUSE_MINUTES = 180

/** From the first tick of a task's steps to the last; none when a step is open, or there was a long pause. */
function minutesOfTicks(
  { ticks, stepNotes }: Axis,
  steps: readonly string[],
): { at: string; minutes: number } | null {
  const times = steps.flatMap(id => ticks[id] ?? []).toSorted()
  const done = steps.filter(id => ticks[id])
  const noted = done.flatMap(id => stepNotes[id]?.tookMinutes ?? [])
  // What was noted step by step counts before what lies between ticks: that has pauses in it.
  if (done.length > 0 && done.length === steps.length && noted.length === done.length)
    return { at: times.at(-1) as string, minutes: noted.reduce((sum, one) => sum + one, 0) }
  if (times.length < 3 || times.length < steps.length - 2) return null
  const at = times.map(time => Date.parse(time) / 60_000)
  const pauses = at.slice(1).map((minute, index) => minute - (at[index] as number))
  if (Math.max(...pauses) > LONGEST_PAUSE_MINUTES) return null
  const minutes = Math.round((at.at(-1) as number) - (at[0] as number))
  return minutes > 0 ? { at: times.at(-1) as string, minutes } : null
}

/** What was really taken for a kind of task, the last time: by its ticks, or from its start to its end. */
export function learnedMinutes(
  job: Job,
  contexts: ReadonlyMap<string, EvaluationContext>,
): Map<TaskKind, number> {
  const learned = new Map<TaskKind, { at: string; minutes: number }>()
  for (const axis of job.axes) {
    const context = contexts.get(axis.id)
    const steps = context ? knownSteps(context) : []
    for (const kind of TASK_KINDS) {
      const own = steps.filter(({ part }) => KINDS[kind].parts?.includes(part)).map(({ id }) => id)
      const took = minutesOfTicks(axis, own)
      if (took && took.at > (learned.get(kind)?.at ?? '')) learned.set(kind, took)
    }
  }
  for (const [key, { doneAt, tookMinutes }] of Object.entries(job.plan.tasks)) {
    const kind = /^[^.]+\.(\w+)$/.exec(key)?.[1] as TaskKind | undefined
    if (!kind || !Object.hasOwn(KINDS, kind) || doneAt === null || tookMinutes === null) continue
    if (doneAt > (learned.get(kind)?.at ?? '')) learned.set(kind, { at: doneAt, minutes: tookMinutes })
  }
  return new Map([...learned].map(([kind, { minutes }]) => [kind, minutes]))
}
