import type { Axis } from '../../../document/axis'
import type { EvaluationContext } from '../../../evaluation/context'
import { AIDS, aidsOf } from './aids'
import { loadWord, maybeLevel, mayFall } from './lifting'
import { SUPPORT_AIDS, type SupportAid } from './model'
import type { Step } from './step'
import { type Kept, supportsIn } from './supports'

// What holds the load of an axis that can fall: a state, asked by every step, whatever was ticked, undone, opened again or went wrong.
// Supported: a block, a hoist. Held: by its own drive, proved. Anything else is neither, and nothing that frees it is offered then.

type Ticks = Axis['ticks']

/** The check that says whether an axis stays by itself without power, at both ends of its mass. */
const STAYS = 'axis.unpoweredDrop'

/** Whether anything supports the load now. */
export const isSupported = (axis: Kept): boolean => supportsIn(axis).length > 0

/** Supports among the aids that a step puts in. */
export const supportsOf = (step: Pick<Step, 'aidsIn'>): SupportAid[] => aidsOf(step.aidsIn, SUPPORT_AIDS)
/** Supports among the aids that it takes out. */
export const supportsOutOf = (step: Pick<Step, 'aidsOut'>): SupportAid[] => aidsOf(step.aidsOut, SUPPORT_AIDS)

/** Work on the steps of one state of an axis that every one of them asks for: done once for that state. */
function onceFor<T>(work: (steps: readonly Step[], context: EvaluationContext) => T) {
  const known = new WeakMap<EvaluationContext, { steps: readonly Step[]; value: T }>()
  return (steps: readonly Step[], context: EvaluationContext): T => {
    const last = known.get(context)
    if (last?.steps === steps) return last.value
    const value = work(steps, context)
    known.set(context, { steps, value })
    return value
  }
}

/** Whether a step that fits something was done, and not only skipped. */
const isFitted = ({ ticks, stepNotes }: Axis, { id }: Step): boolean =>
  ticks[id] !== undefined && stepNotes[id]?.how !== 'skipped'

/** Whether a tick is older than a doubt: what was done under a support whose tick was taken back, nobody knows. */
const isDoubted = ({ ticks, supportDoubtedAt }: Axis, { id }: Step): boolean =>
  supportDoubtedAt !== null && (ticks[id] ?? '') <= supportDoubtedAt

/**
 * Whether its own drive holds the load: everything that does is fitted, it was proved after that, nothing was loosened or is in doubt
 * since, and
 * what it is reckoned to hold still is enough at its lightest and at its heaviest.
 */
export const isHeld = onceFor((steps: readonly Step[], context: EvaluationContext): boolean => {
  const { axis } = context
  const proofAt = steps.findLastIndex(step => step.provesHold && isFitted(axis, step))
  if (proofAt < 0) return false
  if (isDoubted(axis, steps[proofAt] as Step)) return false
  const broken = steps.some((step, at) =>
    at < proofAt || step.mishapId
      ? (step.load === 'fits' || step.provesHold) && !isFitted(axis, step)
      : at > proofAt && step.load && axis.ticks[step.id] !== undefined,
  )
  return !broken && context.isHeldTo(STAYS) && context.finding(STAYS)?.state === 'holds'
})

/** What carries the load now: nothing has to on a level axis, and its old drive does until it is first supported. */
export type LoadState = 'level' | 'old-drive' | 'supported' | 'held' | 'free'

/**
 * What carries the load of an axis now.
 *
 * @example loadState(steps, context) // 'held'
 */
export function loadState(steps: readonly Step[], context: EvaluationContext): LoadState {
  const { axis } = context
  if (!mayFall(axis)) return 'level'
  if (isSupported(axis)) return 'supported'
  if (isHeld(steps, context)) return 'held'
  return isUntouched(steps, axis) ? 'old-drive' : 'free'
}

/**
 * What carries the load now, in a sentence; null of a level axis.
 *
 * @example loadWords('held', axis) // 'The head is held by its own drive, as it was proved.'
 */
export function loadWords(state: LoadState, axis: Axis): string | null {
  const load = loadWord(axis)
  switch (state) {
    case 'level':
      return null
    case 'old-drive':
      return `The ${load} hangs on its old drive still: support it before the first screw.`
    case 'supported':
      return `The ${load} is supported: ${supportsIn(axis)
        .map(aid => AIDS[aid])
        .join(', ')}.`
    case 'held':
      return `The ${load} is held by its own drive, as it was proved.`
    case 'free':
      return maybeLevel(axis)
        ? `Nobody has measured whether the ${load} stands level: measure it, or support it before anything else is done.`
        : `Nothing that is proved holds the ${load}: support it before anything else is done.`
  }
}

/** Nothing of the load's was ever taken out, and no new drive was ever on the machine. */
const isUntouched = (steps: readonly Step[], axis: Axis): boolean =>
  axis.driveMountedAt === null &&
  axis.supportDoubtedAt === null &&
  !steps.some(step => axis.ticks[step.id] && (supportsOf(step).length > 0 || (step.load && !step.onBench)))

/**
 * The ticks that still say something. On an axis that can fall a tick for its support says nothing once the support is out and
 * nothing else holds the load, and a part that was skipped holds nothing.
 */
export const doneTicks = onceFor((steps: readonly Step[], context: EvaluationContext): Ticks => {
  const { axis } = context
  if (!mayFall(axis)) return axis.ticks
  const state = loadState(steps, context)
  const last = steps.findLast(step => step.provesHold && axis.ticks[step.id] !== undefined)
  const idle = steps.filter(
    step =>
      axis.ticks[step.id] &&
      ((state === 'free' && supportsOf(step).length > 0) ||
        (step.load === 'fits' && !isFitted(axis, step)) ||
        (step === last && isDoubted(axis, step))),
  )
  if (idle.length === 0) return axis.ticks
  const done = { ...axis.ticks }
  for (const { id } of idle) delete done[id]
  return done
})

/**
 * The step that supports the load, where another would free it and nothing supports it; null where it may be done. What is put
 * together on the bench frees nothing before it was ever on the machine.
 */
export function supportBefore(steps: readonly Step[], context: EvaluationContext, step: Step): Step | null {
  const { axis } = context
  if (!step.load || !mayFall(axis) || isSupported(axis)) return null
  if (step.onBench && isUntouched(steps, axis)) return null
  return steps.find(one => supportsOf(one).length > 0) ?? null
}

/**
 * What is still to be done before a support may come out: everything that holds the load is in, and was proved after. Null where
 * nothing is, or the step takes no support out.
 */
export function holdBefore(steps: readonly Step[], context: EvaluationContext, step: Step): Step | null {
  const { axis } = context
  if (supportsOutOf(step).length === 0 || !mayFall(axis) || isHeld(steps, context)) return null
  const at = steps.indexOf(step)
  return (
    steps.find(
      (one, index) =>
        (index < at || one.mishapId) && (one.load === 'fits' || one.provesHold) && !isFitted(axis, one),
    ) ?? null
  )
}

/** Why a support may not come out though everything is ticked: what is reckoned to hold the load is not enough. Null where it may. */
export function notHeldWords(steps: readonly Step[], context: EvaluationContext, step: Step): string | null {
  if (supportsOutOf(step).length === 0 || !mayFall(context.axis) || isHeld(steps, context)) return null
  const finding = context.isHeldTo(STAYS) ? context.finding(STAYS) : null
  return finding && finding.state !== 'holds'
    ? `${finding.title}: ${finding.sentence}`
    : 'Something that holds the load was loosened after it was proved: prove it again first.'
}

/** Steps that go with a support coming out: the proof that the load stays, and the taking out. */
const endsSupport = (step: Step) => step.provesHold === true || supportsOutOf(step).length > 0

/** The next proof and taking-out after a place in the list: those up to and with the first that takes a support out. */
export function endOfSupport(steps: readonly Step[], from: number): Step[] {
  const outAt = steps.findIndex((step, at) => at > from && supportsOutOf(step).length > 0)
  return outAt < 0 ? [] : steps.slice(from + 1, outAt + 1).filter(endsSupport)
}

/**
 * Steps that are opened with others, so that the load is supported while they are done and let go of only when it holds again:
 * the proof and the taking-out of the support that come next, and the lock before a screw is turned by hand.
 */
export function openedWith(steps: readonly Step[], axis: Axis, opened: readonly Step[]): Step[] {
  if (!mayFall(axis)) return []
  const ids = new Set(opened.map(({ id }) => id))
  const more = opened.flatMap(step => {
    const at = steps.findIndex(({ id }) => id === step.id)
    const locks = steps.filter(({ id }) => step.lockedBy?.includes(id))
    return step.load || supportsOf(step).length > 0 ? [...locks, ...endOfSupport(steps, at)] : locks
  })
  return steps.filter(one => axis.ticks[one.id] && !ids.has(one.id) && more.includes(one))
}

/** The last proof and taking-out, where every one is ticked: what is opened when a support goes in once more. */
export function lastEndOfSupport(steps: readonly Step[], { ticks }: Pick<Axis, 'ticks'>): Step[] {
  const outs = steps.flatMap((step, at) => (supportsOutOf(step).length > 0 ? [at] : []))
  if (outs.some(at => !ticks[steps[at]?.id ?? ''])) return []
  const last = outs.at(-1)
  if (last === undefined) return []
  return endOfSupport(steps, outs.at(-2) ?? -1)
}
