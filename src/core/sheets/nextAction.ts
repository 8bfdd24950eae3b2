import { DIMENSION_KEYS, DIMENSIONS, type DimensionKey } from '../document/dimensions'
import type { Axis, Job } from '../document/job'
import { neededParts } from '../machine/neededParts'
import type { Catalogue } from '../machine/parts'
import { evaluateAxis } from './evaluateAxis'
import { blockedBy, procedure } from './steps/procedure'

export const STAGES = ['survey', 'size', 'room', 'build', 'align', 'prove', 'log'] as const
export type StageId = (typeof STAGES)[number]

/** What an axis needs next, and the stage where it is done. */
export interface NextAction {
  axisId: string
  stage: StageId
  text: string
}

/** Dimensions that nobody has measured or read off a sheet yet. */
export const stillToMeasure = (axis: Axis): DimensionKey[] =>
  DIMENSION_KEYS.filter(
    key => axis.dimensions[key].provenance === 'assumed' || axis.dimensions[key].value === null,
  )

/**
 * What an axis needs next, in the order in which the work is done; null when it is finished.
 *
 * @example an axis without a motor: { stage: 'size', text: 'X: choose the motor' }
 */
export function nextForAxis(axis: Axis, catalogue: Catalogue, units: Job['units']): NextAction | null {
  const act = (stage: StageId, text: string): NextAction => ({
    axisId: axis.id,
    stage,
    text: `${axis.name}: ${text}`,
  })
  const [unmeasured, ...more] = stillToMeasure(axis)
  if (unmeasured && more.length >= DIMENSION_KEYS.length / 2)
    return act('survey', `${more.length + 1} dimensions to measure`)
  const open = neededParts(axis).find(kind => !catalogue[kind].has(axis.parts[kind] ?? ''))
  if (open) return act('size', `choose the ${open === 'bearing' ? 'bearings' : open}`)
  const { findings } = evaluateAxis(axis, catalogue, units)
  const failing = findings.find(finding => finding.state === 'fails')
  if (failing) return act(failing.stage, `to mend: ${failing.title.toLowerCase()}`)
  if (unmeasured) return act('survey', `measure: ${DIMENSIONS[unmeasured].label.toLowerCase()}`)
  const steps = procedure(axis, catalogue, units) ?? []
  const next = steps.find(step => !axis.ticks[step.id] && !blockedBy(steps, axis.ticks, step.id))
  if (next)
    return act(
      next.id === 'aligned' ? 'align' : next.id === 'proved' ? 'prove' : 'build',
      next.title.toLowerCase(),
    )
  const last = findings.find(finding => finding.checkId === 'prove.reversal')
  return last?.state === 'holds' ? null : act('prove', 'measure the lost motion')
}

/** What each axis of a job needs next; empty when the job is done. */
export const nextForJob = (job: Job, catalogue: Catalogue): NextAction[] =>
  job.axes.flatMap(axis => nextForAxis(axis, catalogue, job.units) ?? [])
