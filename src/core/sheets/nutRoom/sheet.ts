import { attempt } from '../../evaluation/attempt'
import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { NUT_ROOM_CHECKS } from './check'
import { SECTION } from './model'
import { worstSection } from './sections'

/** The room around the nut: measured at stations along the screw, judged, and cut where it must be. */
export const nutRoom = defineSheet({
  id: 'nutRoom',
  stage: 'room',
  title: 'Room around the nut',
  fields: { section: SECTION },
  checks: NUT_ROOM_CHECKS,
  /** Where along the screw the nut has the least room; nothing where no room is measured. */
  overlay(context, { limits }) {
    const worst = limits && attempt(() => worstSection(context)).value
    if (!worst) return {}
    const { positionMm } = worst.station
    const label = `tightest at ${say(positionMm, 'length', context.units, 1)}`
    return { spans: [{ fromMm: positionMm - 1, toMm: positionMm + 1, tone: 'lamp', label }] }
  },
})
