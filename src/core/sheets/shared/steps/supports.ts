import type { Axis } from '../../../document/axis'
import { SUPPORT_AIDS, type SupportAid } from './model'

// What supports the load is kept with when it went in; what changes are taken back is asked for again. Small, since every undo asks it.

export type Kept = Pick<Axis, 'supports' | 'supportDoubtedAt'>

/**
 * The supports that are surely in. What went in before a change was taken back that would have put one in is asked for again.
 *
 * @example supportsIn({ supports: { block: '2026-11-02T18:30:00.000Z' }, supportDoubtedAt: null }) // ['block']
 */
export const supportsIn = ({ supports, supportDoubtedAt }: Kept): SupportAid[] =>
  SUPPORT_AIDS.filter(aid => {
    const at = supports[aid]
    return at !== undefined && (supportDoubtedAt === null || at > supportDoubtedAt)
  })

/**
 * Notes on every axis that a change was taken back, or done again, that would have a support in or out, or the new drive off the
 * machine: what stands there now only a look can tell, and what was done under that support may have loosened what was proved.
 *
 * @param at the moment of it
 * @returns the job itself where there is nothing to doubt
 */
export function doubtSupports<J extends { axes: Axis[] }>(before: J, after: J, at: string): J {
  const doubted = (axis: Axis): boolean => {
    const was = before.axes.find(({ id }) => id === axis.id)
    const had = was ? supportsIn(was) : []
    const has = supportsIn(axis)
    const unmounted = was !== undefined && was.driveMountedAt !== null && axis.driveMountedAt === null
    return unmounted || has.length !== had.length || has.some(aid => !had.includes(aid))
  }
  if (!after.axes.some(doubted)) return after
  return {
    ...after,
    axes: after.axes.map(axis =>
      doubted(axis)
        ? { ...axis, supportDoubtedAt: [at, ...Object.values(axis.supports)].toSorted().at(-1) ?? at }
        : axis,
    ),
  }
}

/** A moment that is later than what was doubted, also where the clock was set back. */
export const afterDoubt = ({ supportDoubtedAt }: Kept, at: string): string =>
  supportDoubtedAt === null || at > supportDoubtedAt
    ? at
    : new Date(Date.parse(supportDoubtedAt) + 1).toISOString()
