import type { Axis, OwnLimits } from '../document/axis'
import type { Edit } from '../document/edit'
import { onAxis } from '../document/edits'

import { say } from '../units/print'
import type { UnitSystem } from '../units/quantity'
import type { LimitFacts, Limits } from './limits'

/** "holds up to 80 %, close up to 100 %" */
export function limitWords(
  { sense, quantity }: LimitFacts,
  { holds, close }: Pick<Limits, 'holds' | 'close'>,
  units: UnitSystem,
) {
  const to = sense === 'at-most' ? 'up to' : 'down to'
  return `holds ${to} ${say(holds, quantity, units)}, close ${to} ${say(close, quantity, units)}`
}

/**
 * Changes what a check is held to, with the reason; null puts the usual limits back.
 *
 * @param title of the check, for the log
 */
export const setLimits = (
  axis: Axis,
  facts: LimitFacts,
  title: string,
  own: OwnLimits | null,
  units: UnitSystem,
): Edit =>
  onAxis(
    axis,
    own ? `Limits of ${title.toLowerCase()}` : `Usual limits of ${title.toLowerCase()}`,
    draft => {
      if (own) draft.limits[facts.key] = own
      else delete draft.limits[facts.key]
    },
    {
      entry: {
        axisId: axis.id,
        kind: 'part',
        text: own
          ? `${title} is held to other limits: ${limitWords(facts, own, units)}. Because: ${own.because}`
          : `${title} is held to the usual limits again: ${limitWords(facts, facts, units)}.`,
      },
    },
  )
