import { defineChecks } from '../../evaluation/check'
import { standing } from '../../evaluation/finding'
import { atLeast, atMost, measure, percent } from '../../evaluation/measures'
import { forces, topSpeedRpm } from '../../machine/drive/load'
import { leadAccuracy, nutLifeHours, strut, warmth, whip } from '../../machine/drive/strength'
import { LIMITS } from './limits'

/** How far apart the corrections of a controller's table are: it leaves that share of the variation in 300 mm. */
const CORRECTION_EVERY_MM = 50

export const LEADSCREW_CHECKS = defineChecks({
  'screw.criticalSpeed': {
    title: 'Whip of the screw',
    subject: 'screw',
    judge(t, say) {
      const rpm = topSpeedRpm(t)
      const { allowableSpeedRpm } = whip(t)
      return atMost(
        t,
        LIMITS['screw.criticalSpeed'],
        measure(rpm, 'rotation'),
        measure(allowableSpeedRpm, 'rotation'),
        `Top speed turns the screw at ${say(rpm, 'rotation')}; it may turn at ${say(
          allowableSpeedRpm,
          'rotation',
        )} before it whips, being ${say(t.part('screw').rootDiameterMm, 'length', 1)} at the root and held ${t.axis.ends}.`,
      )
    },
  },
  'screw.buckling': {
    title: 'Buckling of the screw',
    subject: 'screw',
    judge(t, say) {
      const pushN = forces(t).maxN
      const { allowableLoadN, regime } = strut(t)
      return atMost(
        t,
        LIMITS['screw.buckling'],
        measure(pushN, 'force'),
        measure(allowableLoadN, 'force'),
        `The largest push is ${say(pushN, 'force')}; ${say(allowableLoadN, 'force')} is allowed, half of what bends it out (${
          regime === 'euler' ? 'slender' : 'short'
        } strut, held ${t.axis.ends}).`,
      )
    },
  },
  'screw.life': {
    title: 'Life of the screw',
    subject: 'screw',
    judge(t, say) {
      const hours = nutLifeHours(t)
      if (hours === null) return null
      const { wantedLifeHours, cuttingShare, cuttingForceN } = t.axis.goals
      const work = t.axis.duty
        ? 'with the duty as you set it'
        : `with ${percent(cuttingShare, say)} of the time at ${say(cuttingForceN, 'force')} of cutting force`
      return atLeast(
        t,
        LIMITS['screw.life'],
        measure(hours, 'hours'),
        measure(wantedLifeHours, 'hours'),
        `The nut is good for ${say(hours, 'hours')} of this work, against ${say(wantedLifeHours, 'hours')} wanted, ${work}.`,
      )
    },
  },
  'screw.leadAccuracy': {
    title: 'Accuracy of the lead',
    subject: 'screw',
    judge(t, say) {
      const { travelToleranceUm, variation300Um } = leadAccuracy(t)
      const target = t.axis.goals.accuracyTargetUm
      const use = travelToleranceUm / target
      const leftUm = (variation300Um * CORRECTION_EVERY_MM) / 300
      const { state, ...held } = standing(t.axis, LIMITS['screw.leadAccuracy'], use)
      const mends = leftUm <= target
      const every = say(CORRECTION_EVERY_MM, 'length', 1)
      const over = `Class ${t.part('screw').toleranceClass} lets the lead be off by ${say(travelToleranceUm, 'smallLength')} over the travel, against ${say(target, 'smallLength')} accepted`
      return {
        state: state === 'holds' ? 'holds' : mends ? 'close' : 'fails',
        ...held,
        figure: measure(travelToleranceUm, 'smallLength'),
        limit: measure(target, 'smallLength'),
        use,
        sentence:
          state === 'holds'
            ? `${over}.`
            : mends
              ? `${over}. Measure it and give the controller a table of corrections every ${every}: about ${say(leftUm, 'smallLength')} is left.`
              : `${over}. A table of corrections every ${every} still leaves ${say(leftUm, 'smallLength')}.`,
      }
    },
  },
  'screw.warmth': {
    title: 'Growth of the screw in use',
    subject: 'screw',
    judge(t, say) {
      const { growthUm, pretensionN } = warmth(t)
      const { temperatureRiseK, accuracyTargetUm } = t.axis.goals
      const warmer = say(temperatureRiseK, 'temperatureRise')
      if (t.axis.ends === 'fixed-fixed') {
        const bearsN = t.part('bearing').staticCapacityN
        return atMost(
          t,
          LIMITS['screw.pretension'],
          measure(pretensionN, 'force'),
          measure(bearsN, 'force'),
          `Held at both ends, the screw needs ${say(pretensionN, 'force')} of pull, ${say(
            growthUm,
            'smallLength',
          )} of stretch set when fitting, to keep its length ${warmer} warmer; the bearings carry ${say(bearsN, 'force')} at rest.`,
        )
      }
      return atMost(
        t,
        LIMITS['screw.warmth'],
        measure(growthUm, 'smallLength'),
        measure(accuracyTargetUm, 'smallLength'),
        `${warmer} warmer, the screw grows ${say(growthUm, 'smallLength')} over the travel, against ${say(
          accuracyTargetUm,
          'smallLength',
        )} accepted.`,
      )
    },
  },
})
