import type { Job } from '../document/job'
import type { Catalogue } from '../document/parts/types'
import { type Best, bestPlan, type Outcome } from '../schedule/best'
import { narrow, onlyOpen } from '../schedule/narrow'
import { type ModeAt, type Problem, precedenceOf, problemOf } from '../schedule/problem'
import type { Now } from './days'
import { windowsFrom } from './hours'
import { planTasks, type Task, tasksOf } from './tasks'

/** A task with its place in the plan. */
export interface PlannedTask {
  key: string
  wayId: string
  beginMinute: number
  finishMinute: number
  /** How much later it could be finished without moving the end: of hands in working minutes, of what waits by the clock. */
  slackMinutes: number
  /** Whether the end hangs on it, directly or through what waits for it. */
  holdsEnd: boolean
}

export interface PlannedJob {
  kind: 'plan'
  tasks: PlannedTask[]
  finishMinute: number
  /** Nothing at all is finished earlier. */
  boundMinute: number
  handsMinutes: number
  proved: boolean
}

/** Why there is no plan, and what would make one. */
export interface NoPlan {
  kind: 'none'
  reason: 'circle' | 'windows' | 'notFound' | 'done'
  /** Keys of the tasks that wait for one another in a round. */
  circle: string[]
  /** Ways that would break it, where the builder has settled on another. */
  breaks: { key: string; wayId: string }[]
}

export type Planned = PlannedJob | NoPlan

/** Something that could be otherwise. */
export type WhatIf =
  | { kind: 'late'; key: string; days: number }
  | { kind: 'evening'; weekday: number; fromMinute: number; toMinute: number }
  | { kind: 'otherMill' }
  | { kind: 'elsewhere' }

/** A job in which something is otherwise. */
export function jobWith(job: Job, whatIf: WhatIf | null): Job {
  if (whatIf?.kind === 'otherMill' || whatIf?.kind === 'elsewhere')
    return { ...job, plan: { ...job.plan, [whatIf.kind]: true } }
  if (whatIf?.kind === 'evening') {
    const { weekday, fromMinute, toMinute } = whatIf
    const row = { id: 'what-if', weekday: weekday as 1, fromMinute, toMinute }
    return { ...job, plan: { ...job.plan, hours: [...job.plan.hours, row] } }
  }
  return job
}

const withLate = (tasks: Task[], whatIf: WhatIf | null): Task[] =>
  whatIf?.kind === 'late'
    ? tasks.map(task =>
        task.key === whatIf.key
          ? {
              ...task,
              ways: task.ways.map(way => ({ ...way, minutes: way.minutes + whatIf.days * 24 * 60 })),
            }
          : task,
      )
    : tasks

export interface PlanWatch {
  better?: (plan: PlannedJob) => void
  cancelled?: () => boolean
  mostSteps?: number
}

/**
 * The best plan for what is left of a job, from now on.
 *
 * @param whatIf plans it as if something were otherwise
 */
export function planJob(
  job: Job,
  catalogue: Catalogue,
  now: Now,
  { better, ...watch }: PlanWatch = {},
  whatIf: WhatIf | null = null,
): Planned {
  const otherwise = jobWith(job, whatIf)
  const tasks = withLate(tasksOf(otherwise, catalogue, now).tasks, whatIf)
  const open = planTasks(tasks, now.minute)
  if (open.length === 0) return { kind: 'none', reason: 'done', circle: [], breaks: [] }
  const problem = problemOf(open, windowsFrom(otherwise.plan, now.day, now.minute))
  const outcome = bestPlan(problem, {
    ...watch,
    better: better && (best => better(plannedOf(problem, best))),
  })
  return outcome.kind === 'plan' ? plannedOf(problem, outcome) : noPlan(tasks, problem, outcome)
}

/** Each hands task comes after the one before it: with that the plan stands as it was laid. */
function settled(problem: Problem, { plan }: Best): number[][] {
  const after = precedenceOf(problem, plan.chosen)
  const isHands = (task: number) => !(modeOf(problem, plan.chosen, task) as ModeAt).waits
  const order = problem.ids
    .map((_, task) => task)
    .filter(isHands)
    .toSorted((a, b) => (plan.placed[a]?.beginMinute ?? 0) - (plan.placed[b]?.beginMinute ?? 0))
  for (const [index, task] of order.entries()) {
    const before = order[index - 1]
    if (before !== undefined) (after[task] as number[]).push(before)
  }
  return after
}

const modeOf = ({ modes }: Problem, chosen: readonly number[], task: number) =>
  (modes[task] as ModeAt[])[chosen[task] as number]

function plannedOf(problem: Problem, best: Best): PlannedJob {
  const { plan, boundMinute, proved } = best
  const after = settled(problem, best)
  const asLaid: Problem = {
    ...problem,
    after,
    modes: problem.modes.map((ways, task) =>
      ways.map((mode, index) => (index === plan.chosen[task] ? { ...mode, after: [], before: [] } : mode)),
    ),
  }
  const latest = narrow(asLaid, onlyOpen(plan.chosen), plan.finishMinute)
  const holding = holdsEnd(problem, best, after)
  return {
    kind: 'plan',
    tasks: problem.ids.map((key, task) => {
      const { beginMinute, finishMinute } = plan.placed[task] as { beginMinute: number; finishMinute: number }
      const mode = modeOf(problem, plan.chosen, task) as ModeAt
      const latestFinish = Math.max(finishMinute, latest?.latestFinish[task] ?? finishMinute)
      const slackMinutes = mode.waits
        ? latestFinish - finishMinute
        : problem.calendar.workedUntil(latestFinish) - problem.calendar.workedUntil(finishMinute)
      return {
        key,
        wayId: mode.id,
        beginMinute,
        finishMinute,
        slackMinutes,
        holdsEnd: holding.has(task) || slackMinutes === 0,
      }
    }),
    finishMinute: plan.finishMinute,
    boundMinute,
    handsMinutes: plan.handsMinutes,
    proved,
  }
}

/** The tasks on which the end hangs: from the last one back, each time through what was finished last before it. */
function holdsEnd(problem: Problem, { plan }: Best, after: readonly (readonly number[])[]): Set<number> {
  const finish = (task: number) => plan.placed[task]?.finishMinute ?? 0
  const holding = new Set<number>()
  let task: number | undefined = problem.ids.findIndex((_, index) => finish(index) === plan.finishMinute)
  while (task !== undefined && !holding.has(task)) {
    holding.add(task)
    const before: readonly number[] = after[task] ?? []
    task = before.length > 0 ? before.reduce((a, b) => (finish(b) > finish(a) ? b : a)) : undefined
  }
  return holding
}

function noPlan(
  tasks: readonly Task[],
  problem: Problem,
  outcome: Exclude<Outcome, { kind: 'plan' }>,
): NoPlan {
  if (outcome.kind !== 'circle') return { kind: 'none', reason: outcome.kind, circle: [], breaks: [] }
  const circle = outcome.tasks.map(task => problem.ids[task] as string)
  const breaks = circle.flatMap(key => {
    const task = tasks.find(one => one.key === key)
    return (task?.ways ?? []).flatMap(({ id }) => {
      if (!task || id === task.wanted) return []
      const tried = tasks.map(one => (one === task ? { ...one, wanted: id } : one))
      const found = bestPlan(problemOf(planTasks(tried, 0), problem.calendar.windows), { mostSteps: 1 })
      return found.kind === 'circle' ? [] : [{ key, wayId: id }]
    })
  })
  return { kind: 'none', reason: 'circle', circle, breaks }
}
