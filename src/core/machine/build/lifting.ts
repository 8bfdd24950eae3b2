import type { Axis } from '../../document/axis'
import { step, type Written } from './step'

/** Whether an axis lifts its load: "ask" while nobody has measured how it stands. */
export function lifting({ dimensions }: Pick<Axis, 'dimensions'>): 'level' | 'lifts' | 'ask' {
  const { value, provenance } = dimensions.inclineDeg
  if (value === null || provenance === 'assumed') return 'ask'
  return value > 0 ? 'lifts' : 'level'
}

/** Until it is known to be level, an axis is built as one that lifts. */
export const mayFall = (axis: Pick<Axis, 'dimensions'>): boolean => lifting(axis) !== 'level'

/** What the load of a lifting axis asks before its screw is turned by hand; none on a level one. */
export const lockBefore = (axis: Pick<Axis, 'dimensions'>, stepId: string, what: string): Written[] =>
  mayFall(axis)
    ? [
        step(
          `lock-${stepId}`,
          `Head locked or hung, crank on the screw, before you ${what}`,
          'Lock the head on its way, or hang it from the hoist. Put a crank or a drill on the screw, take the weight with it, then free the lock. Lock again before the crank comes off.',
          {
            hold: true,
            keepsSafe: true,
            tools: ['crank or drill', 'hoist or way lock'],
            caution:
              'A head that is let go drops and spins the crank. Never reach under it; lifting gear only with trained help.',
          },
        ),
      ]
    : []
