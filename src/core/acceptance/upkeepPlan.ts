import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import { UPKEEP_WORDS } from '../document/upkeep'
import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'
import { intervalOf, nextGreasing } from '../sheets/grease/due'
import { taskDay } from './dues'

/** A line of what whoever runs the machine keeps up. */
export interface PlanLine {
  /** With the axis it is on: "X: nut of the screw (grease, 2 cm3)". */
  what: string
  every: string
  /** The day on which it is next; none while that is not known. */
  next: string | null
}

/** At least twice a year, however little it runs. */
const MOST_WEEKS = 26

function greaseLine(t: EvaluationContext): PlanLine[] {
  const { name, lubePoints } = t.axis
  if (lubePoints.length === 0) return []
  const weeks = attempt(() => intervalOf(t)).value?.weeksBetween
  const points = lubePoints.map(
    ({ what, lubricant, amount }) =>
      `${what.toLowerCase()} (${[lubricant, amount].filter(Boolean).join(', ')})`,
  )
  return [
    {
      what: `${name}: ${points.join('; ')}`,
      every:
        weeks === undefined || weeks >= MOST_WEEKS
          ? 'half a year'
          : `${Math.max(1, Math.floor(weeks))} weeks, at most half a year`,
      next: nextGreasing(t)?.day ?? null,
    },
  ]
}

/**
 * What whoever runs the machine keeps up, how often, and when next: greasing by axis, then what the builder has listed.
 *
 * @param evaluate the evaluation of an axis
 */
export const upkeepPlan = (
  job: Pick<Job, 'axes' | 'acceptance' | 'upkeep'>,
  evaluate: (axis: Axis) => EvaluationContext,
): PlanLine[] => [
  ...job.axes.flatMap(axis => greaseLine(evaluate(axis))),
  ...job.upkeep.tasks.map((task): PlanLine => {
    const on = job.axes.find(({ id }) => id === task.axisId)
    const what = task.what || UPKEEP_WORDS[task.kind]
    return {
      what: on ? `${on.name}: ${what}` : what,
      every:
        [
          task.everyDays === null ? null : `${task.everyDays} days`,
          task.everyHours === null ? null : `${task.everyHours} h of running`,
        ]
          .filter(Boolean)
          .join(' or ') || 'not said',
      next: taskDay(job, task).day,
    }
  }),
]
