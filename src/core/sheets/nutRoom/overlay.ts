import { attempt } from '../../evaluation/attempt'
import { say } from '../../units/print'
import type { DrawOverlay } from '../sheet'
import { worstSection } from './sections'

/** Where along the screw the nut has the least room; nothing where no room is measured. */
export const nutRoomOverlay: DrawOverlay = (context, { limits }) => {
  const worst = limits && attempt(() => worstSection(context)).value
  if (!worst) return {}
  const { positionMm } = worst.station
  const label = `tightest at ${say(positionMm, 'length', context.units, 1)}`
  return { spans: [{ fromMm: positionMm - 1, toMm: positionMm + 1, tone: 'lamp', label }] }
}
