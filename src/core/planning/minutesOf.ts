import type { Job } from '../document/job'
import { catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { learnedMinutes } from './learned'
import type { TaskKind } from './taskKinds'

/** What each kind of task took on a machine the last time, where it was timed. */
export function minutesOf(job: Job): Map<TaskKind, number> {
  const catalogue = catalogueOf(job)
  return learnedMinutes(
    job,
    new Map(job.axes.map(axis => [axis.id, evaluateAxis(axis, catalogue, job.units)])),
  )
}
