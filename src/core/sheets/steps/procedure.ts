import { remembered } from '../../evaluation/context'
import { driveEnd } from './driveEnd'
import { finish } from './finish'
import { loose, ready } from './prepare'
import { tighten } from './setTrue'
import { chosenParts, type Step } from './step'

/**
 * The ordered steps that build an axis from its parts.
 *
 * Everything goes in loose; the nut is clamped against turning; each end is tightened with the nut run up to
 * it, the fixed end first; the motor's face screws go before its shaft screw; a ball nut keeps a stop tie
 * until both ends are in; a head that could fall is carried, hung or locked throughout; threadlocker comes last.
 *
 * @returns the steps in order, or null while a part is not chosen
 * @example procedure(context)?.[0].id // 'isolate'
 */
export const procedure = remembered((context): Step[] | null => {
  const { axis, catalogue } = context
  const parts = chosenParts(axis, catalogue)
  if (!parts) return null
  return [
    ...ready(axis, parts),
    ...loose(axis, parts),
    ...tighten(context),
    ...driveEnd(parts, context),
    ...finish(context),
  ]
})
