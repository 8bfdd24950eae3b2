import type { Axis } from '../../../document/axis'
import type { WhichScrew } from '../rounds/model'
import { openedWith } from './load'
import type { Step } from './step'

/** What is done up or set again where something along the drive has moved, by what it is. */
export const REDONE = {
  locknut: ['preload'],
  nutScrews: ['nut-tight', 'torque-blocks'],
  blockScrews: ['torque-blocks'],
  hubs: ['hub-screw', 'motor-hub'],
  belt: ['motor-face'],
  gib: ['gib-set', 'gib-lock'],
  gibLock: ['gib-lock'],
  line: ['aligned', 'torque-blocks'],
  rails: ['rail-second'],
  square: ['square'],
  controller: ['controller', 'measured-move'],
} as const satisfies Readonly<Record<string, readonly string[]>>
export type Redone = keyof typeof REDONE

/** Set in a controller, and no part that is moved. */
const IN_CONTROLLER: readonly string[] = REDONE.controller
/** Whether a step sets or does up something that readings of the axis rest on. */
export const setsDrive = (id: string): boolean => {
  const base = baseOf(id)
  return (
    !IN_CONTROLLER.includes(base) &&
    Object.values(REDONE).some(ids => (ids as readonly string[]).includes(base))
  )
}

/** Measured again after anything was mended. */
const PROOF = 'proved'

/** The id of a step without the number of its screw. */
const baseOf = (id: string) => id.replace(/\.2$/, '')

/**
 * The steps to open again for a mending: those that are ticked, of one screw where it is named or else of both, with the measuring of the
 * lost motion. What leans on them stays done, for it is set as it was: only what moved is set again. Where one of them frees the load,
 * the proof that it holds and the taking-out of its support are opened too: it is supported first.
 *
 * @example stepsToRedo(steps, axis, 'locknut').map(({ id }) => id) // ['preload', 'proved']
 */
export function stepsToRedo(
  steps: readonly Step[],
  axis: Axis,
  what: Redone,
  screw: WhichScrew | null = null,
): Step[] {
  const { ticks } = axis
  const number = screw && (screw === 'first' ? 1 : 2)
  const ids: readonly string[] = REDONE[what]
  const again = steps.filter(
    ({ id, screw: of }) => ids.includes(baseOf(id)) && ticks[id] && (!number || !of || of === number),
  )
  if (again.length === 0) return []
  const opened = [...again, ...steps.filter(({ id }) => id === PROOF && ticks[id])]
  return [...opened, ...openedWith(steps, axis, opened)].toSorted(
    (a, b) => steps.indexOf(a) - steps.indexOf(b),
  )
}
