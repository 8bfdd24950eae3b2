import { TONE_OF } from '../../drawing/overlay'
import { say } from '../../units/print'
import type { DrawOverlay } from '../sheet'

const CHECK_OF = { fixed: 'switches.fixed', far: 'switches.far' } as const

/** Each switch, by what is left from it to the hard stop. */
export const switchesOverlay: DrawOverlay = (context, { limits, spanMm }) => {
  const { recesses, switches: all } = context.axis
  if (!limits) return {}
  const farStopMm = spanMm + recesses.recessFarMm
  return {
    spans: all.flatMap(({ end, use, beforeStopMm }) => {
      if (beforeStopMm === null) return []
      const [fromMm, toMm] =
        end === 'fixed'
          ? [-recesses.recessFixedMm, beforeStopMm - recesses.recessFixedMm]
          : [farStopMm - beforeStopMm, farStopMm]
      return [
        {
          fromMm,
          toMm,
          tone: TONE_OF[context.finding(CHECK_OF[end])?.state ?? 'unknown'],
          label: `${use === 'both' ? 'home and limit' : use} ${say(beforeStopMm, 'length', context.units, 1)} before the stop`,
        },
      ]
    }),
  }
}
