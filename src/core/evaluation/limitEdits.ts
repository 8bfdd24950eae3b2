import type { Command } from '../document/edit'
import { onAxis } from '../document/edits'
import type { Axis } from '../document/job'
import { say } from '../units/print'
import type { UnitSystem } from '../units/quantity'
import { type LimitKey, type Limits, limitFacts, type OwnLimits } from './limits'

/** "holds up to 80 %, close up to 100 %" */
export function limitWords(
  key: LimitKey,
  { holds, close }: Pick<Limits, 'holds' | 'close'>,
  units: UnitSystem,
) {
  const { sense, quantity } = limitFacts(key)
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
  key: LimitKey,
  title: string,
  own: OwnLimits | null,
  units: UnitSystem,
): Command =>
  onAxis(
    axis,
    own ? `Limits of ${title.toLowerCase()}` : `Usual limits of ${title.toLowerCase()}`,
    draft => {
      if (own) draft.limits[key] = own
      else delete draft.limits[key]
    },
    {
      entry: {
        axisId: axis.id,
        kind: 'part',
        text: own
          ? `${title} is held to other limits: ${limitWords(key, own, units)}. Because: ${own.because}`
          : `${title} is held to the usual limits again: ${limitWords(key, limitFacts(key), units)}.`,
      },
    },
  )
