import type { Axis } from '../../../document/axis'
import { SUPPORT_AIDS } from './model'
import type { Step } from './step'

/** What is put in to help for a while and must come out again. */
export const AIDS = {
  block: 'block under the load',
  hoist: 'hoist on the load',
  ties: 'stop ties on the screw',
  clamp: 'clamp on the nut',
  shims: 'shims under the screw',
  spacers: 'screws as spacers in the nut',
  counterweight: 'counterweight on the table',
  tape: 'tape on the thread',
  dummyRail: 'dummy rail in the carriages',
  props: 'props under the side plates',
} as const
export type Aid = keyof typeof AIDS

/** An aid that is in, with the step that put it in and the one that takes it out. */
export interface AidIn {
  aid: Aid
  /** The step that it came in with, and which of two screws that was about. */
  by: Step
  outBy: Step | null
}

/** Those of some aids that a step has. */
export const aidsOf = <A extends Aid>(aids: readonly Aid[] | undefined, among: readonly A[]): A[] =>
  among.filter(aid => aids?.includes(aid))

/** The steps after the one that put an aid in that would take it out, the next first. */
const outsOf = (steps: readonly Step[], aid: Aid, by: Step): Step[] =>
  steps
    .slice(steps.indexOf(by) + 1)
    .filter(one => one.aidsOut?.includes(aid) && (!by.screw || !one.screw || one.screw === by.screw))

/**
 * The aids that are still in: what supports the load as it is kept, all others by the steps that are ticked.
 *
 * @example aidsIn(steps, axis) // [{ aid: 'block', … }]
 */
export function aidsIn(steps: readonly Step[], axis: Pick<Axis, 'ticks' | 'supports'>): AidIn[] {
  const { ticks } = axis
  const found: AidIn[] = supportsKept(steps, axis)
  for (const by of steps) {
    if (!ticks[by.id]) continue
    for (const aid of by.aidsIn ?? []) {
      if (SUPPORT_AIDS.some(one => one === aid)) continue
      const later = outsOf(steps, aid, by)
      // Put in a second time, it is there once.
      const isKnown = found.some(one => one.aid === aid && one.by.screw === by.screw)
      if (!isKnown && !later.some(({ id }) => ticks[id])) found.push({ aid, by, outBy: later[0] ?? null })
    }
  }
  return found
}

/** Supports that are kept as in, each with the step that last put one in. */
function supportsKept(
  steps: readonly Step[],
  { ticks, supports }: Pick<Axis, 'ticks' | 'supports'>,
): AidIn[] {
  return SUPPORT_AIDS.flatMap(aid => {
    if (supports[aid] === undefined) return []
    const by =
      steps.findLast(one => one.aidsIn?.includes(aid) && ticks[one.id]) ??
      steps.find(one => one.aidsIn?.includes(aid))
    return by ? [{ aid, by, outBy: outsOf(steps, aid, by)[0] ?? null }] : []
  })
}

/** An aid in words, with which screw it is on where there are two. */
export const aidWords = ({ aid, by }: Pick<AidIn, 'aid' | 'by'>): string =>
  by.screw ? `${AIDS[aid]} (${by.screw === 1 ? 'first' : 'second'} screw)` : AIDS[aid]
