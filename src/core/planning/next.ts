import type { Axis } from '../document/axis'
import { DIMENSIONS } from '../document/dimensions'
import type { Job } from '../document/job'
import type { Catalogue } from '../document/parts/types'
import type { Stage } from '../document/stages'
import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'
import { neededParts } from '../machine/neededParts'
import { stillToAlign, stillToMeasure } from '../machine/stillToMeasure'
import { type OrderLine, orderList, totalEurOf } from '../orders/orders'
import type { SheetId } from '../sheets'
import { cutList } from '../sheets/cutList'
import { placeOfDimension } from '../sheets/dimensionPlace'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { inHand } from '../sheets/shared/steps/holds'
import { loadWord, maybeLevel } from '../sheets/shared/steps/lifting'
import { loadState } from '../sheets/shared/steps/load'
import { procedure, teardown } from '../sheets/shared/steps/procedure'
import type { Step } from '../sheets/shared/steps/step'
import type { Now } from './days'
import { type Task, tasksOf } from './tasks'

/** What an axis needs next, and the sheet where it is done. */
export interface NextAction {
  axisId: string
  stage: Stage
  sheet: SheetId
  text: string
  /** The step of the build that it is; none where it is done on a sheet. */
  stepId: string | null
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

/** Where an axis stands. */
export interface Standing {
  axisId: string
  /** Null when it is finished. */
  next: NextAction | null
  /** Of the steps that stand by what is chosen, how many are ticked. */
  steps: { done: number; of: number }
  /** What of its own is paid for by an order or by the door, what is still to come, and how many lines have no price. */
  costs: { orderedEur: number; toComeEur: number; unpriced: number }
}

/**
 * Where an axis stands: what it needs next, in the order in which the work is done, and how far it is built. The one place
 * that says so, for every screen, file and shell.
 *
 * @param job the job with its orders and its plan; of its axes only the one that is asked about is looked at
 * @example standingOf(newJob('Mill', 'mill', 'mm', at), 0, CATALOGUE, now).next?.text // 'X: 6 dimensions to measure'
 */
export function standingOf(job: Job, axis: Axis, catalogue: Catalogue, now: Now): Standing {
  const context = evaluateAxis(axis, catalogue, job.units)
  const steps = procedure(context) ?? teardown(context)
  const { tasks } = tasksOf({ ...job, axes: [axis] }, catalogue, now)
  return {
    axisId: axis.id,
    next: nextOf(context, steps, tasks),
    steps: { done: steps.filter(({ id }) => axis.ticks[id]).length, of: steps.length },
    costs: costsOf(orderList({ ...job, axes: [axis] }, catalogue)),
  }
}

/** What is used up by the whole machine is no axis's own. */
function costsOf(lines: readonly OrderLine[]): Standing['costs'] {
  const own = lines.filter(({ axes }) => axes.length > 0)
  const isOrdered = ({ state }: OrderLine) => state === 'ordered' || state === 'arrived'
  return {
    orderedEur: totalEurOf(own.filter(isOrdered)),
    toComeEur: totalEurOf(own.filter(line => !isOrdered(line))),
    unpriced: own.filter(({ priceEur }) => priceEur === null).length,
  }
}

/** Where each axis of a job stands, in their order. */
export const standings = (job: Job, catalogue: Catalogue, now: Now): Standing[] =>
  job.axes.map(axis => standingOf(job, axis, catalogue, now))

/** What only the controller can tell, which is here long after the first cut. */
const ASKED_LATER: ReadonlySet<SheetId> = new Set(['stopping'])

function nextOf(
  context: EvaluationContext,
  steps: readonly Step[],
  tasks: readonly Task[],
): NextAction | null {
  const { axis, catalogue } = context
  const act = (
    place: { stage: Stage; sheet: SheetId },
    text: string,
    stepId: string | null = null,
  ): NextAction => ({
    axisId: axis.id,
    stage: place.stage,
    sheet: place.sheet,
    text: `${axis.name}: ${text}`,
    stepId,
  })
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

  const room = roomToMake(context, steps)
  if (room) return act({ stage: 'room', sheet: room.sheet }, room.text)
  const parcels = tasks.filter(task => task.kind === 'parcel' && !task.isDone && !task.isOrdered)
  const [parcel] = parcels
  if (parcel)
    return act(
      parcel.place,
      parcels.length === 1 ? `order: ${parcel.title}` : `${parcels.length} things to order`,
    )
  const next = inHand(steps, context)
  const cut = tasks.find(task => task.kind === 'cut' && !task.isDone)
  if (cut && next?.part !== 'apart') {
    const cuts = attempt(() => cutList(context)).value
    return act(cut.place, cuts ? `make the cuts (${cuts.length})` : 'see what must be cut')
  }

  const [shaft] = axis.ticks[MOTOR_IS_IN] ? stillToAlign(axis) : []
  if (shaft) return act(placeOfDimension(shaft), `measure: ${DIMENSIONS[shaft].label.toLowerCase()}`)
  if (next) return act(DONE_ELSEWHERE[next.id] ?? sheetOfStep(next), next.title.toLowerCase(), next.id)
  // What is read while it is being set fails until it is: the steps lead there, and what is left comes after them.
  const [unset] = fails
  if (unset) return act({ stage: unset.stage, sheet: unset.sheet }, `to set: ${unset.title.toLowerCase()}`)
  const last = context.finding('prove.reversal')
  return last?.state === 'holds'
    ? null
    : act({ stage: 'prove', sheet: 'reversal' }, 'measure the lost motion')
}

/** What of the room for the drive nobody knows yet; nothing once it is being built in, which shows whether it fits. */
function roomToMake(
  { axis, findings }: EvaluationContext,
  steps: readonly Step[],
): { sheet: SheetId; text: string } | null {
  if (steps.some(({ part, id }) => part !== 'apart' && axis.ticks[id])) return null
  if (axis.section.stations.length === 0) return { sheet: 'nutRoom', text: 'measure the room around the nut' }
  const unknown = findings.find(
    ({ stage, sheet, state }) => stage === 'room' && state === 'unknown' && !ASKED_LATER.has(sheet),
  )
  return unknown ? { sheet: unknown.sheet, text: `measure for: ${unknown.title.toLowerCase()}` } : null
}
