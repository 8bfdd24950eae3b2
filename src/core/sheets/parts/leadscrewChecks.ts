import { radians } from '../../calculation/constants'
import { SCREW_ENDS_WORDS } from '../../document/kinds'
import { defineChecks, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { MOST_MARGIN, standing } from '../../evaluation/finding'
import { atMost, lifeWords, livesAtLeast, measure, percent } from '../../evaluation/measures'
import { forces, topSpeedRpm, worstEndWords } from '../../machine/drive/load'
import { nutLifeHours, screwEnd, strut, warmth, whip } from '../../machine/drive/strength'
import { isBelted, nutTurns } from '../../machine/drive/transmission'
import { screwSag } from '../../machine/sizing/screw'
import { freeLengthMm } from '../../machine/travel/placement'
import { saySold } from '../../units/print'
import { LIMITS } from './limits'

/** What hangs by less, or stands upright, does not hang. */
const LEAST_SAG_UM = 0.1

/** How far a free end hangs by its own weight, with the nut where it has left most of the screw behind it. */
function freeEndWords(t: EvaluationContext, say: Say): string {
  if (t.axis.ends !== 'fixed-free') return ''
  const lengthMm = freeLengthMm(t)
  const { sagUm } = t.figure('freeEndSag', screwSag, {
    rootDiameterMm: t.part('screw').rootDiameterMm,
    lengthMm,
    ends: 'fixed-free',
    positionMm: lengthMm,
  })
  const level = sagUm * Math.cos(radians(t.dimension('inclineDeg')))
  const hangs = level < LEAST_SAG_UM ? '' : ` and hang by ${say(level, 'smallLength')}`
  return ` Nothing holds its far end: with the nut back, ${say(lengthMm, 'length', 0)} of it stand free${hangs}.`
}

export const LEADSCREW_CHECKS = defineChecks({
  'screw.criticalSpeed': {
    title: 'Whip of the screw',
    subject: 'screw',
    judge(t, say) {
      const rpm = topSpeedRpm(t)
      const { allowableSpeedRpm } = whip(t)
      if (nutTurns(t))
        return {
          ...standing(t, LIMITS['screw.criticalSpeed'], 0),
          figure: measure(0, 'rotation'),
          limit: measure(allowableSpeedRpm, 'rotation'),
          use: 0,
          sentence: () =>
            `The screw stands, so it cannot whip; turned itself it would from ${say(allowableSpeedRpm, 'rotation')} on, and ${say(rpm, 'rotation')} are wanted. The nut and its pulley turn instead: run out of balance they shake the slide.`,
        }
      return atMost(
        t,
        LIMITS['screw.criticalSpeed'],
        measure(rpm, 'rotation'),
        measure(allowableSpeedRpm, 'rotation'),
        () =>
          `Top speed turns the screw at ${say(rpm, 'rotation')}; it may turn at ${say(
            allowableSpeedRpm,
            'rotation',
          )} before it whips, swinging like a skipping rope, being ${say(t.part('screw').rootDiameterMm, 'length', 1)} at the root and ${SCREW_ENDS_WORDS[t.axis.ends]}.${freeEndWords(t, say)}`,
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
        () =>
          `The largest push is ${say(pushN, 'force')}; ${say(allowableLoadN, 'force')} is allowed, half of what bends it out (${
            regime === 'euler' ? 'slender' : 'short'
          } strut, ${t.axis.ends === 'fixed-free' ? 'between the fixed block and the nut' : SCREW_ENDS_WORDS[t.axis.ends]}).${worstEndWords(t, say)}`,
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
      return livesAtLeast(
        t,
        LIMITS['screw.life'],
        hours,
        wantedLifeHours,
        () =>
          `The nut is good for ${lifeWords(hours, say)} of this work, against ${say(wantedLifeHours, 'hours')} wanted, ${work}.`,
      )
    },
  },
  'shaft.endStress': {
    title: 'End of the screw',
    subject: 'screw',
    judge(t, say) {
      const { safety, diameterMm, torqueNm, by, equivalentMpa } = screwEnd(t)
      const { holds } = t.limits(LIMITS['shaft.endStress'])
      const over = safety ?? MOST_MARGIN
      return {
        ...standing(t, LIMITS['shaft.endStress'], Math.min(over, MOST_MARGIN)),
        figure: measure(torqueNm, 'torque'),
        limit: measure((torqueNm * over) / holds, 'torque'),
        use: holds / over,
        sentence: () =>
          `${nutTurns(t) ? `Held against turning at its ends, the screw of ${say(diameterMm, 'length', 1)} at the root` : `Its end of ${saySold(diameterMm, t.units)}`} is twisted with up to ${say(torqueNm, 'torque')} by the ${by}${isBelted(t) && !nutTurns(t) ? ', and bent by the belt' : ''}: ${say(equivalentMpa, 'pressure')} at its shoulder, ${say(over, 'ratio', 1)} times below where it yields, ${holds} wanted.${t.dimension('inclineDeg') > 0 ? ' It is what holds the load.' : ''}`,
      }
    },
  },
  'screw.pretension': {
    title: 'Pull between the fixed ends',
    subject: 'bearing',
    isGone: t => t.axis.ends !== 'fixed-fixed' || nutTurns(t),
    judge(t, say) {
      // A screw that stands is pulled between clamps, which the grip of its blocks is judged by.
      if (t.axis.ends !== 'fixed-fixed' || nutTurns(t)) return null
      const { growthUm, pretensionN } = warmth(t)
      const bearsN = t.part('bearing').staticCapacityN
      const loadN = pretensionN + forces(t).maxN
      return atMost(
        t,
        LIMITS['screw.pretension'],
        measure(loadN, 'force'),
        measure(bearsN, 'force'),
        () =>
          `Held at both ends, the screw needs ${say(pretensionN, 'force')} of pull, ${say(
            growthUm,
            'smallLength',
          )} of stretch set when fitting, to keep its length ${say(t.axis.goals.temperatureRiseK, 'temperatureRise')} warmer. With the largest load on top that is ${say(loadN, 'force')}; each set of bearings carries ${say(bearsN, 'force')} at rest.`,
      )
    },
  },
})
