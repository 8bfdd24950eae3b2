import { defineChecks, type Judgement, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { standing } from '../../evaluation/finding'
import { limitsOf } from '../../evaluation/limits'
import { atLeast, atMost, measure, percent } from '../../evaluation/measures'
import { forces, topSpeedRpm } from '../../machine/drive/load'
import { bearingLifeHours } from '../../machine/drive/strength'
import { preloadN } from '../../machine/drive/torque'
import { bearingPairShare } from '../../machine/sizing/bearing'
import { nutSpeedValue, nutStaticSafety } from '../../machine/sizing/checkSums'
import { LIMITS } from './limits'

/** How many preloads' worth of load a pair is held to: opened, it has play again. */
function keepsClosed(
  check: 'nut.preload' | 'bearing.preload',
  name: string,
  preload: number,
  t: EvaluationContext,
  say: Say,
): Judgement {
  const loadN = forces(t).maxN
  const { unloadingForceN: opensAtN } = t.figure(check, bearingPairShare, {
    preloadN: preload,
    externalN: loadN,
  })
  // An axis without any load at all is held to a newton, so that there is something to divide by.
  const ratio = opensAtN / Math.max(1, loadN)
  return {
    ...standing(t.axis, LIMITS[check], ratio),
    figure: measure(loadN, 'force'),
    limit: measure(opensAtN, 'force'),
    use: loadN / opensAtN,
    sentence: `The ${name} opens at ${say(opensAtN, 'force')}, against a largest load of ${say(loadN, 'force')}: ${
      ratio >= 1 ? `${percent(ratio - 1, say)} in hand` : 'play comes back under load'
    }, because its preload is ${say(preload, 'force')}.`,
  }
}

/** Checks of the nut and of the bearings of the fixed end: what takes the thrust. */
export const THRUST_CHECKS = defineChecks({
  'nut.speedValue': {
    title: 'Speed of the nut',
    subject: 'nut',
    judge(t, say) {
      const { pitchDiameterMm, speedValueLimit, kind } = t.part('screw')
      const { speedValue } = t.figure('speedValue', nutSpeedValue, {
        pitchDiameterMm,
        speedRpm: topSpeedRpm(t),
        limit: speedValueLimit,
      })
      return atMost(
        t,
        LIMITS['nut.speedValue'],
        measure(speedValue, 'ratio'),
        measure(speedValueLimit, 'ratio'),
        `Diameter times speed is ${say(speedValue, 'ratio', 0)} mm·rpm at ${say(topSpeedRpm(t), 'rotation')}; this nut takes ${say(
          speedValueLimit,
          'ratio',
          0,
        )} before ${kind === 'ball' ? 'its balls are thrown at the return tube' : 'it runs hot and wears fast'}.`,
      )
    },
  },
  'nut.staticSafety': {
    title: 'Static safety of the nut',
    subject: 'nut',
    judge(t, say) {
      const { staticCapacityN } = t.part('screw')
      const loadN = forces(t).maxN
      const wanted = limitsOf(t.axis, LIMITS['nut.staticSafety']).holds
      const { safety } = t.figure('staticSafety', nutStaticSafety, {
        staticCapacityN,
        largestLoadN: Math.max(1, loadN),
      })
      return {
        ...standing(t.axis, LIMITS['nut.staticSafety'], safety),
        figure: measure(loadN, 'force'),
        limit: measure(staticCapacityN / wanted, 'force'),
        use: (wanted * loadN) / staticCapacityN,
        sentence: `The largest load is ${say(loadN, 'force')}; the nut carries ${say(staticCapacityN, 'force')} at rest: ${say(
          safety,
          'ratio',
          1,
        )} times, against ${wanted} wanted.`,
      }
    },
  },
  'nut.preload': {
    title: 'Preload of the nut',
    subject: 'nut',
    judge: (t, say) => (preloadN(t) > 0 ? keepsClosed('nut.preload', 'nut', preloadN(t), t, say) : null),
  },
  'bearing.preload': {
    title: 'Preload of the bearings',
    subject: 'bearing',
    judge: (t, say) =>
      t.part('bearing').axialPlayUm === 0
        ? keepsClosed('bearing.preload', 'bearing pair', t.part('bearing').preloadN, t, say)
        : null,
  },
  'bearing.life': {
    title: 'Life of the bearings',
    subject: 'bearing',
    judge(t, say) {
      const hours = bearingLifeHours(t)
      const { wantedLifeHours } = t.axis.goals
      return atLeast(
        t,
        LIMITS['bearing.life'],
        measure(hours, 'hours'),
        measure(wantedLifeHours, 'hours'),
        `The bearings of the fixed end are good for ${say(hours, 'hours')}, against ${say(wantedLifeHours, 'hours')} wanted, with ${
          t.axis.drive.transmission === 'belt' ? 'their preload and the pull of the belt' : 'their preload'
        } on top of the load.`,
      )
    },
  },
  'bearing.seat': {
    title: 'Seat of the bearings',
    subject: 'bearing',
    judge(t, say) {
      const { boreMm } = t.part('bearing')
      const { rootDiameterMm } = t.part('screw')
      const fits = boreMm < rootDiameterMm
      return {
        state: fits ? 'holds' : 'fails',
        figure: measure(boreMm, 'length'),
        limit: measure(rootDiameterMm, 'length'),
        use: boreMm / rootDiameterMm,
        sentence: fits
          ? `The bore of ${say(boreMm, 'length')} leaves a shoulder on a screw of ${say(rootDiameterMm, 'length', 1)} at the root.`
          : `The bore of ${say(boreMm, 'length')} leaves no shoulder on a screw of ${say(rootDiameterMm, 'length', 1)} at the root.`,
      }
    },
  },
})
