import type { Axis } from '../document/axis'
import { DIMENSION_KEYS, DIMENSIONS } from '../document/dimensions'
import type { Job } from '../document/job'
import type { Catalogue } from '../document/parts/types'
import type { Stage } from '../document/stages'
import { neededParts } from '../machine/neededParts'
import { stillToMeasure } from '../machine/stillToMeasure'
import { evaluateAxis } from './evaluateAxis'
import { blockedBy } from './steps/holds'
import { procedure } from './steps/procedure'

/** What an axis needs next, and the stage where it is done. */
export interface NextAction {
  axisId: string
  stage: Stage
  text: string
}

/**
 * What an axis needs next, in the order in which the work is done; null when it is finished.
 *
 * @example an axis without a motor: { stage: 'size', text: 'X: choose the motor' }
 */
export function nextForAxis(axis: Axis, catalogue: Catalogue, units: Job['units']): NextAction | null {
  const act = (stage: Stage, text: string): NextAction => ({
    axisId: axis.id,
    stage,
    text: `${axis.name}: ${text}`,
  })
  const [unmeasured, ...more] = stillToMeasure(axis)
  if (unmeasured && more.length >= DIMENSION_KEYS.length / 2)
    return act('survey', `${more.length + 1} dimensions to measure`)
  const open = neededParts(axis).find(kind => !catalogue[kind].has(axis.parts[kind] ?? ''))
  if (open) return act('size', `choose the ${open === 'bearing' ? 'bearings' : open}`)
  const context = evaluateAxis(axis, catalogue, units)
  const { findings } = context
  const failing = findings.find(finding => finding.state === 'fails')
  if (failing) return act(failing.stage, `to mend: ${failing.title.toLowerCase()}`)
  if (unmeasured) return act('survey', `measure: ${DIMENSIONS[unmeasured].label.toLowerCase()}`)
  const steps = procedure(context) ?? []
  const next = steps.find(step => !axis.ticks[step.id] && !blockedBy(steps, axis.ticks, step.id))
  if (next)
    return act(
      next.id === 'aligned' ? 'align' : next.id === 'proved' ? 'prove' : 'build',
      next.title.toLowerCase(),
    )
  const last = context.finding('prove.reversal')
  return last?.state === 'holds' ? null : act('prove', 'measure the lost motion')
}

/** What each axis of a job needs next; empty when the job is done. */
export const nextForJob = (job: Job, catalogue: Catalogue): NextAction[] =>
  job.axes.flatMap(axis => nextForAxis(axis, catalogue, job.units) ?? [])
