import { TONE_OF } from '../../drawing/overlay'
import { attempt } from '../../evaluation/attempt'
import { stoppingMm } from '../../machine/travel/stopping'
import { STOPPING } from '../../machine/travel/stoppingModel'
import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { LIMITS, STOPPING_CHECKS } from './check'

/** From soft limit to switch to hard stop there must be room to stop in. */
export const stopping = defineSheet({
  id: 'stopping',
  stage: 'room',
  title: 'Room to stop',
  fields: { stopping: STOPPING },
  checks: STOPPING_CHECKS,
  limits: LIMITS,
  /** How far the axis runs on beyond where it turns back, at both ends; nothing while that is not known. */
  overlay(context, { limits, spanMm }) {
    const distanceMm = limits && attempt(() => stoppingMm(context)).value
    if (!distanceMm) return {}
    const { recessFixedMm, recessFarMm, safetyFixedMm, safetyFarMm } = context.axis.recesses
    const fixedMm = safetyFixedMm - recessFixedMm
    const farMm = spanMm + recessFarMm - safetyFarMm
    const label = `stops within ${say(distanceMm, 'length', context.units, 1)}`
    const toneOf = (checkId: keyof typeof STOPPING_CHECKS) =>
      TONE_OF[context.finding(checkId)?.state ?? 'unknown']
    return {
      spans: [
        { fromMm: fixedMm - distanceMm, toMm: fixedMm, tone: toneOf('stopping.fixed'), label },
        { fromMm: farMm, toMm: farMm + distanceMm, tone: toneOf('stopping.far'), label },
      ],
    }
  },
})
