import type { Axis } from '../../../document/axis'
import { DIMENSIONS } from '../../../document/dimensions'
import type { OrderState, Orders } from '../../../document/job'
import { isRead } from '../../../document/kinds'
import type { EvaluationContext } from '../../../evaluation/context'
import { type DriveJoint, JOINTS_OF_DRIVE } from '../../../machine/joints/model'
import { aidsIn, aidWords } from './aids'
import { mayFall } from './lifting'
import { doneTicks, holdBefore, notHeldWords, supportBefore } from './load'
import { type StepNote, SUPPORT_AIDS } from './model'
import { BOLT_STATES, type BoltState, type Step } from './step'
import { isTorquedUnknown, screwsOf } from './stepScrews'
import { WHOLE_BEFORE } from './subAssemblies'

type Ticks = Axis['ticks']

const lesser = (a: BoltState, b: BoltState) => (BOLT_STATES.indexOf(a) < BOLT_STATES.indexOf(b) ? a : b)

/** The state of each joint's screws after the steps that are ticked; of two screws, the one that is further behind. */
export function boltStates(steps: readonly Step[], ticks: Ticks): Record<DriveJoint, BoltState> {
  const screws = steps.some(({ screw }) => screw === 2) ? ([1, 2] as const) : ([1] as const)
  const [first, second] = screws.map(screw => {
    const states = Object.fromEntries(JOINTS_OF_DRIVE.map(joint => [joint, 'out'])) as Record<
      DriveJoint,
      BoltState
    >
    for (const one of steps)
      if (ticks[one.id] && (one.screw ?? screw) === screw) Object.assign(states, one.bolts)
    return states
  }) as [Record<DriveJoint, BoltState>, Record<DriveJoint, BoltState>?]
  if (second)
    for (const joint of Object.keys(first) as DriveJoint[]) first[joint] = lesser(first[joint], second[joint])
  return first
}

/** Whether two steps are about the same screw, where there are two. */
const sameScrew = (a: Step, b: Step) => !a.screw || !b.screw || a.screw === b.screw

/** Whether one step must be done before another: it rests on it, or it is a hold before it, in its sub-assembly or one before. */
const comesBefore = (one: Step, oneAt: number, later: Step, laterAt: number): boolean =>
  later.restsOn.includes(one.id) ||
  (one.hold &&
    sameScrew(one, later) &&
    (one.part === later.part ? oneAt < laterAt : WHOLE_BEFORE[later.part].has(one.part)))

/**
 * The step that blocks another, if any: a hold point of its own sub-assembly or of one that must be whole before it, or a
 * step that it rests on.
 *
 * @example a step after the unticked "stop-tie" is blocked by it
 */
export function blockedBy(steps: readonly Step[], ticks: Ticks, stepId: string): Step | null {
  const at = steps.findIndex(({ id }) => id === stepId)
  const step = steps[at]
  if (!step) return null
  return (
    steps.find((one, index) => !ticks[one.id] && index !== at && comesBefore(one, index, step, at)) ?? null
  )
}

/** The ticked steps that lean on another one, nearest first: they are undone with it. */
export function leaning(steps: readonly Step[], ticks: Ticks, stepId: string): Step[] {
  const leans = new Set([stepId])
  // What leans on something that leans on it, leans on it too; the list is in order, so once through is enough.
  for (const [at, one] of steps.entries())
    if (
      ticks[one.id] &&
      !leans.has(one.id) &&
      steps.some((base, baseAt) => leans.has(base.id) && comesBefore(base, baseAt, one, at))
    )
      leans.add(one.id)
  return steps.filter(({ id }) => id !== stepId && leans.has(id))
}

/**
 * The step that is to be done before another may be: what supports the load, where it would free that; else what blocks it.
 *
 * @example waitsFor(steps, context, hubScrew)?.id // 'support', on an upright axis that nothing supports
 */
export const waitsFor = (steps: readonly Step[], context: EvaluationContext, step: Step): Step | null =>
  supportBefore(steps, context, step) ??
  blockedBy(steps, doneTicks(steps, context), step.id) ??
  holdBefore(steps, context, step)

/** The first step that can be done now; null when all are done, or none can be. */
export function inHand(steps: readonly Step[], context: EvaluationContext): Step | null {
  const done = doneTicks(steps, context)
  return steps.find(step => !done[step.id] && !waitsFor(steps, context, step)) ?? null
}

/** Why a part cannot be fitted yet, by how its order stands. What nobody has noted is not here: a step without its part stops half-way. */
const NOT_HERE: Partial<Record<OrderState, string>> = {
  open: 'is not ordered, as far as anybody has noted',
  ordered: 'is ordered and has not arrived',
  missing: 'is missing',
}

/** A part that a step needs, and what the order list says of it. */
export interface NeededPart {
  /** What its order goes by. */
  key: string
  name: string
  /** Why it cannot be fitted; null where it can, as far as anybody has noted. */
  lacks: string | null
}

/** The parts that a step needs, by name, with whether they have come. */
export const partsFor = (step: Step, { axis, catalogue }: EvaluationContext, orders: Orders): NeededPart[] =>
  (step.asks?.parts ?? []).flatMap(kind => {
    const part = catalogue[kind].get(axis.parts[kind] ?? '')
    return part
      ? [
          {
            key: `part:${part.id}`,
            name: part.name,
            lacks: NOT_HERE[orders[`part:${part.id}`]?.state ?? 'open'] ?? null,
          },
        ]
      : []
  })

/**
 * What a step asks for that the thing itself does not have yet: a dimension that is measured, parts that are here,
 * verdicts that hold, aids that are out; of screws that are torqued, the torque. Null where there is nothing to wait for.
 *
 * @param how as it is said to be done: otherwise than by the sheet it needs no torque of the sheet
 */
export function askOf(
  step: Step,
  context: EvaluationContext,
  orders: Orders,
  steps: readonly Step[] = [],
  how: StepNote['how'] = 'done',
): string | null {
  const { axis } = context
  for (const key of step.asks?.measured ?? []) {
    const { value, provenance } = axis.dimensions[key]
    if (value === null || !isRead(provenance))
      return `Measure first, under Survey: ${DIMENSIONS[key].label.toLowerCase()}.`
  }
  for (const { name, lacks } of partsFor(step, context, orders))
    if (lacks) return `${name} ${lacks}. Say here, or in the order list, when it is here.`
  for (const { checkId, at } of step.asks?.verdicts ?? []) {
    const finding = context.finding(checkId)
    if (!finding) return at.missing
    if (!at.states.includes(finding.state)) return `${finding.title}: ${finding.sentence}`
  }
  if (step.asks?.aidsOut) {
    // What supports the load stays until it is proved that it holds by itself, and what no step takes out any more was for another school.
    const still = aidsIn(steps, axis).find(
      ({ aid, outBy }) => outBy && !SUPPORT_AIDS.some(one => one === aid),
    )
    if (still) return `Still in: ${aidWords(still)}. “${still.outBy?.title}” takes it out.`
  }
  const unknown = how === 'done' && screwsOf(step, axis).find(isTorquedUnknown)
  if (unknown)
    return `The torque of “${unknown.label}” is not known: enter its screws under Make room, Screws, or say under “Done otherwise” how tight they are.`
  return null
}

/** Why a step cannot be ticked; null where it can. */
export function refusalOf(
  steps: readonly Step[],
  stepId: string,
  context: EvaluationContext,
  orders: Orders,
  how: StepNote['how'] = 'done',
): string | null {
  const step = steps.find(({ id }) => id === stepId)
  if (!step || doneTicks(steps, context)[stepId]) return null
  const before = waitsFor(steps, context, step)
  if (before) return `First ${before.hold ? 'tick the hold point' : 'do'} “${before.title}”.`
  return notHeldWords(steps, context, step) ?? askOf(step, context, orders, steps, how)
}

/** Whether a step may be skipped: not one that keeps somebody from being hurt, nor one that fits what holds a load. */
export const maySkip = (step: Step, { axis }: EvaluationContext): boolean =>
  !step.keepsSafe && !(step.load === 'fits' && mayFall(axis))
