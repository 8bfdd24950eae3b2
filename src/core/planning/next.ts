import type { Axis } from '../document/axis'
import { DIMENSIONS } from '../document/dimensions'
import type { Job } from '../document/job'
import type { Catalogue } from '../document/parts/types'
import type { Stage } from '../document/stages'
import type { EvaluationContext } from '../evaluation/context'
import { neededParts } from '../machine/neededParts'
import { stillToAlign, stillToMeasure } from '../machine/stillToMeasure'
import type { SheetId } from '.'
import { placeOfDimension } from './dimensionPlace'
import { evaluateAxis } from './evaluateAxis'
import { inHand } from './shared/steps/holds'
import { loadWord, maybeLevel } from './shared/steps/lifting'
import { loadState } from './shared/steps/load'
import { procedure } from './shared/steps/procedure'
import type { Step } from './shared/steps/step'

/** What an axis needs next, and the sheet where it is done. */
export interface NextAction {
  axisId: string
  stage: Stage
  sheet: SheetId
  text: string
}

/** Steps that are done on a sheet of their own, and not by a tick alone. */
const DONE_ELSEWHERE: Partial<Record<string, { stage: Stage; sheet: SheetId }>> = {
  aligned: { stage: 'align', sheet: 'screwLine' },
  proved: { stage: 'prove', sheet: 'reversal' },
}
/** The sheet of a step, where its sub-assembly has one of its own. */
const sheetOfStep = ({ part }: Step) =>
  ({ stage: 'build', sheet: part === 'apart' ? 'teardown' : 'steps' }) as const
/** With so much unmeasured, what was chosen is as good as a guess. */
const MANY_UNMEASURED = 5
/** Once this is done, the motor and its coupler are in, and how they stand can be measured. */
const MOTOR_IS_IN = 'motor-hub'

/**
 * What an axis needs next, in the order in which the work is done; null when it is finished.
 *
 * @example nextForAxis(newAxis({ name: 'X', title: 'Table' }), CATALOGUE, 'mm')?.text // 'X: 9 dimensions to measure'
 */
export const nextForAxis = (axis: Axis, catalogue: Catalogue, units: Job['units']): NextAction | null =>
  nextOf(evaluateAxis(axis, catalogue, units))

/** What the axis of an evaluation needs next; null when it is finished. */
export function nextOf(context: EvaluationContext): NextAction | null {
  const { axis, catalogue } = context
  const act = (place: { stage: Stage; sheet: SheetId }, text: string): NextAction => ({
    axisId: axis.id,
    stage: place.stage,
    sheet: place.sheet,
    text: `${axis.name}: ${text}`,
  })
  const steps = procedure(context) ?? []
  // A load that nothing holds comes before everything, whatever is still to be measured or chosen.
  if (loadState(steps, context) === 'free')
    return maybeLevel(axis)
      ? act(placeOfDimension('inclineDeg'), `measure: ${DIMENSIONS.inclineDeg.label.toLowerCase()}`)
      : act({ stage: 'build', sheet: 'steps' }, `support the ${loadWord(axis)}`)
  const unmeasured = stillToMeasure(axis)
  const [first] = unmeasured
  const needed = neededParts(axis)
  const open = needed.filter(kind => !catalogue[kind].has(axis.parts[kind] ?? ''))
  const nothingChosen = open.length === needed.length
  if (first && (nothingChosen || unmeasured.length >= MANY_UNMEASURED))
    return act(
      placeOfDimension(first),
      unmeasured.length === 1
        ? `measure: ${DIMENSIONS[first].label.toLowerCase()}`
        : `${unmeasured.length} dimensions to measure`,
    )
  if (nothingChosen) return act({ stage: 'size', sheet: 'search' }, 'find a drive that holds')
  const [kind] = open
  if (kind)
    return act({ stage: 'size', sheet: 'parts' }, `choose the ${kind === 'bearing' ? 'bearings' : kind}`)
  const fails = context.findings.filter(({ state }) => state === 'fails')
  const failing = fails.find(({ stage }) => stage !== 'align')
  // What a reversal loses is not mended by testing it again: where it comes from is found first.
  if (failing?.stage === 'prove')
    return act({ stage: 'prove', sheet: 'findFault' }, `find the fault: ${failing.title.toLowerCase()}`)
  if (failing)
    return act({ stage: failing.stage, sheet: failing.sheet }, `to mend: ${failing.title.toLowerCase()}`)
  if (first) return act(placeOfDimension(first), `measure: ${DIMENSIONS[first].label.toLowerCase()}`)
  const next = inHand(steps, context)
  const [shaft] = axis.ticks[MOTOR_IS_IN] ? stillToAlign(axis) : []
  if (shaft) return act(placeOfDimension(shaft), `measure: ${DIMENSIONS[shaft].label.toLowerCase()}`)
  if (next) return act(DONE_ELSEWHERE[next.id] ?? sheetOfStep(next), next.title.toLowerCase())
  // What is read while it is being set fails until it is: the steps lead there, and what is left comes after them.
  const [unset] = fails
  if (unset) return act({ stage: unset.stage, sheet: unset.sheet }, `to set: ${unset.title.toLowerCase()}`)
  const last = context.finding('prove.reversal')
  return last?.state === 'holds'
    ? null
    : act({ stage: 'prove', sheet: 'reversal' }, 'measure the lost motion')
}

/** What each axis of a job needs next; empty when the job is done. */
export const nextForJob = (job: Pick<Job, 'axes' | 'units'>, catalogue: Catalogue): NextAction[] =>
  job.axes.flatMap(axis => nextForAxis(axis, catalogue, job.units) ?? [])
