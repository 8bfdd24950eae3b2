import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import type { EvaluationContext } from '../evaluation/context'
import { knownSteps } from '../sheets/shared/steps/procedure'
import { KINDS, TASK_KINDS, type TaskKind } from './taskKinds'

/** What the steps of a task took together, where each was timed; ticks in a row say when they were made, not how long it took. */
function minutesOfSteps(
  { ticks, stepNotes }: Axis,
  steps: readonly string[],
): { at: string; minutes: number } | null {
  const took = steps.map(id => (ticks[id] ? (stepNotes[id]?.tookMinutes ?? null) : null))
  if (took.length === 0 || took.includes(null)) return null
  const times = steps.flatMap(id => ticks[id] ?? []).toSorted()
  return { at: times.at(-1) as string, minutes: took.reduce<number>((sum, one) => sum + (one ?? 0), 0) }
}

/** What was really taken for a kind of task, the last time: timed step by step, or from its start to its end. */
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
      const took = minutesOfSteps(axis, own)
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
