import { TONE_OF } from '../../drawing/overlay'
import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { LIMITS, SWITCH_CHECKS } from './check'
import { CABLE, SWITCHES } from './model'

const CHECK_OF = { fixed: 'switches.fixed', far: 'switches.far' } as const

/** Where the switches stand and of what kind they are; how long the cable chain is. */
export const switches = defineSheet({
  id: 'switches',
  stage: 'build',
  title: 'Switches and cables',
  fields: { switches: SWITCHES, cable: CABLE },
  checks: SWITCH_CHECKS,
  limits: LIMITS,
  /** Each switch, by what is left from it to the hard stop. */
  overlay(context, { limits, spanMm }) {
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
  },
})
