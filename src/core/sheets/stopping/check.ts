import { type Check, defineChecks } from '../../evaluation/check'
import { atLeast, measure } from '../../evaluation/measures'
import { stoppingMm } from '../../machine/travel/stopping'
import { LIMITS } from './limits'

export const ENDS = ['fixed', 'far'] as const
export type End = (typeof ENDS)[number]
export const SAFETY_OF = { fixed: 'safetyFixedMm', far: 'safetyFarMm' } as const

const endCheck = (end: End): Check => ({
  title: `Room to stop at the ${end} end`,
  subject: 'travel',
  judge(t, say) {
    const needsMm = stoppingMm(t)
    const keptMm = t.axis.recesses[SAFETY_OF[end]]
    const braking =
      t.axis.stopping.decelerationMmPerS2 === null
        ? 'slowing down as hard as it speeds up'
        : 'at what is set for a limit'
    return atLeast(
      t,
      LIMITS['limits.stopping'],
      measure(keptMm, 'length'),
      measure(needsMm, 'length'),
      () =>
        `${say(keptMm, 'length', 1)} is kept clear at the ${end} end; from ${say(t.axis.goals.topSpeedMmPerMin, 'speed')} the axis needs ${say(needsMm, 'length', 1)} to stop, ${braking}.`,
    )
  },
})

export const STOPPING_CHECKS = defineChecks({
  'stopping.fixed': endCheck('fixed'),
  'stopping.far': endCheck('far'),
})
