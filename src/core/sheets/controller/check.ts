import { defineChecks } from '../../evaluation/check'
import { atMost, measure, NO_FIGURES } from '../../evaluation/measures'
import { controllerSettings, driveSteps } from '../shared/steps/controller'
import { LIMITS } from './limits'

export const CONTROLLER_CHECKS = defineChecks({
  'controller.pulses': {
    title: 'Pulses at top speed',
    subject: 'motor',
    judge(t, say) {
      const { pulseLimitHz } = t.axis.controller
      // Nobody has said what the controller gives out: there is nothing to hold them against.
      if (pulseLimitHz === null) return null
      const { pulsesPerS } = driveSteps(t)
      return atMost(
        t,
        LIMITS['controller.pulses'],
        measure(pulsesPerS, 'frequency'),
        measure(pulseLimitHz, 'frequency'),
        () =>
          `At ${say(t.axis.goals.topSpeedMmPerMin, 'speed')} the drive wants ${say(pulsesPerS, 'frequency', 0)} of pulses; the controller gives out ${say(pulseLimitHz, 'frequency', 0)}. Beyond that it skips some, and the axis comes short.`,
      )
    },
  },
  'controller.measuredMove': {
    title: 'Measured move',
    subject: 'axis',
    judge(t, say) {
      const { commandedMm, movedMm } = t.axis.controller
      if (commandedMm === null || movedMm === null) return null
      const { oddShare } = controllerSettings(t)
      const said = `${say(movedMm, 'length')} for ${say(commandedMm, 'length')} commanded`
      return {
        ...NO_FIGURES,
        state: oddShare === null ? 'holds' : 'unknown',
        sentence: () =>
          oddShare === null
            ? `${said}: the steps are corrected by it.`
            : `${said} is off by ${say(oddShare, 'share', 0)}: no lead is. Was it typed in another unit, or are microsteps, counts, lead or the unit of the controller set for another drive? Nothing is corrected by it.`,
      }
    },
  },
})
