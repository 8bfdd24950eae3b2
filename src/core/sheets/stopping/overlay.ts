import { TONE_OF } from '../../drawing/overlay'
import { attempt } from '../../evaluation/attempt'
import type { CheckId } from '../../evaluation/ids'
import { stoppingMm } from '../../machine/travel/stopping'
import { say } from '../../units/print'
import type { DrawOverlay } from '../sheet'

/** How far the axis runs on beyond where it turns back, at both ends; nothing while that is not known. */
export const stoppingOverlay: DrawOverlay = (context, { limits, spanMm }) => {
  const distanceMm = limits && attempt(() => stoppingMm(context)).value
  if (!distanceMm) return {}
  const { recessFixedMm, recessFarMm, safetyFixedMm, safetyFarMm } = context.axis.recesses
  const fixedMm = safetyFixedMm - recessFixedMm
  const farMm = spanMm + recessFarMm - safetyFarMm
  const label = `stops within ${say(distanceMm, 'length', context.units, 1)}`
  const toneOf = (checkId: CheckId) => TONE_OF[context.finding(checkId)?.state ?? 'unknown']
  return {
    spans: [
      { fromMm: fixedMm - distanceMm, toMm: fixedMm, tone: toneOf('stopping.fixed'), label },
      { fromMm: farMm, toMm: farMm + distanceMm, tone: toneOf('stopping.far'), label },
    ],
  }
}
