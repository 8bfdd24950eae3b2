import type { Axis } from '../../document/axis'
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

/**
 * The aids that are still in, by the steps that are ticked.
 *
 * @example aidsIn(steps, { support: '2026-11-02T18:30:00.000Z' }) // [{ aid: 'block', … }]
 */
export function aidsIn(steps: readonly Step[], ticks: Axis['ticks']): AidIn[] {
  const found: AidIn[] = []
  for (const [index, by] of steps.entries()) {
    if (!ticks[by.id]) continue
    for (const aid of by.aidsIn ?? []) {
      const later = steps
        .slice(index + 1)
        .filter(one => one.aidsOut?.includes(aid) && (!by.screw || !one.screw || one.screw === by.screw))
      // Put in a second time, it is there once.
      const isKnown = found.some(one => one.aid === aid && one.by.screw === by.screw)
      if (!isKnown && !later.some(({ id }) => ticks[id])) found.push({ aid, by, outBy: later[0] ?? null })
    }
  }
  return found
}

/** An aid in words, with which screw it is on where there are two. */
export const aidWords = ({ aid, by }: Pick<AidIn, 'aid' | 'by'>): string =>
  by.screw ? `${AIDS[aid]} (${by.screw === 1 ? 'first' : 'second'} screw)` : AIDS[aid]
