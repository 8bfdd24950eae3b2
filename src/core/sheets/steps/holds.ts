import { DIMENSIONS } from '../../document/dimensions'
import type { OrderState, Orders } from '../../document/job'
import type { EvaluationContext } from '../../evaluation/context'
import { type BoltState, DRIVE_JOINTS, type DriveJoint, type Step } from './step'

type Ticks = Record<string, string>

/** The state of each joint's screws after the steps that are ticked. */
export function boltStates(steps: Step[], ticks: Ticks): Record<DriveJoint, BoltState> {
  const states = Object.fromEntries(Object.keys(DRIVE_JOINTS).map(joint => [joint, 'out'])) as Record<
    DriveJoint,
    BoltState
  >
  for (const one of steps) if (ticks[one.id]) Object.assign(states, one.bolts)
  return states
}

/**
 * The step that blocks another, if any: the first hold point before it that is not ticked, or a step that it rests on.
 *
 * @example a step after the unticked "stop-tie" is blocked by it
 */
export function blockedBy(steps: Step[], ticks: Ticks, stepId: string): Step | null {
  const index = steps.findIndex(({ id }) => id === stepId)
  const needs = steps[index]?.restsOn ?? []
  return (
    steps.slice(0, Math.max(0, index)).find(({ id, hold }) => (hold || needs.includes(id)) && !ticks[id]) ??
    null
  )
}

/** The ticked step that keeps another's tick from being taken off: any after a hold point, and what rests on it. */
export function leansOn(steps: Step[], ticks: Ticks, stepId: string): Step | null {
  const index = steps.findIndex(({ id }) => id === stepId)
  const isHold = steps[index]?.hold ?? false
  return (
    steps.slice(index + 1).find(({ id, restsOn }) => ticks[id] && (isHold || restsOn.includes(stepId))) ??
    null
  )
}

const NOT_HERE: Partial<Record<OrderState, string>> = {
  ordered: 'is ordered and has not arrived',
  missing: 'is missing',
}

/**
 * What the thing itself says against a step: a dimension that is not measured, a part that is not here, a verdict that
 * does not stand.
 *
 * @param orders of the job, where it is noted what has arrived
 * @returns why the step cannot be ticked yet; null where nothing speaks against it
 */
export function askOf(step: Step, context: EvaluationContext, orders: Orders): string | null {
  const { axis, catalogue } = context
  for (const key of step.asks?.measured ?? []) {
    const { value, provenance } = axis.dimensions[key]
    if (value === null || provenance === 'assumed')
      return `Measure first, under Survey: ${DIMENSIONS[key].label.toLowerCase()}.`
  }
  for (const kind of step.asks?.parts ?? []) {
    const part = catalogue[kind].get(axis.parts[kind] ?? '')
    const lacks = part && NOT_HERE[orders[`part:${part.id}`]?.state ?? 'open']
    if (lacks) return `${part.name} ${lacks}, as the order list has it. Note there when it comes.`
  }
  for (const { checkId, at } of step.asks?.verdicts ?? []) {
    const finding = context.finding(checkId)
    if (!finding) return at.missing
    if (!at.states.includes(finding.state)) return `${finding.title}: ${finding.sentence}`
  }
  return null
}

/** Why a step cannot be ticked, or its tick not be taken off; null where it can. */
export function refusalOf(
  steps: Step[],
  stepId: string,
  context: EvaluationContext,
  orders: Orders,
): string | null {
  const { ticks } = context.axis
  const step = steps.find(({ id }) => id === stepId)
  if (!step) return null
  if (ticks[stepId]) {
    const later = leansOn(steps, ticks, stepId)
    return later ? `“${later.title}” is done already: open that one again first.` : null
  }
  const before = blockedBy(steps, ticks, stepId)
  if (before) return `First ${before.hold ? 'tick the hold point' : 'do'} “${before.title}”.`
  return askOf(step, context, orders)
}
