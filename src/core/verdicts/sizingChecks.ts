import { bearingPairShare } from '../sizing/bearing'
import { couplerTorqueUse, nutSpeedValue, nutStaticSafety } from '../sizing/checkSums'
import {
  forces,
  lostMotionBudget,
  nutLifeHours,
  powerLoss,
  preloadN,
  strut,
  topSpeedRpm,
  torqueMargin,
  whip,
} from '../sizing/evaluateSizing'
import type { Check, Judgement, Say } from './check'
import { grade, LIMITS, type Measure } from './finding'
import type { Trace } from './trace'

const percent = (ratio: number, say: Say) => say(Math.abs(ratio), 'share', 0)
const measure = (value: number, quantity: Measure['quantity']): Measure => ({ value, quantity })

/** A finding whose figure must stay below its limit. */
function atMost(check: keyof typeof LIMITS, figure: Measure, limit: Measure, sentence: string): Judgement {
  const use = figure.value / limit.value
  return { state: grade(check, use), figure, limit, use, sentence }
}

/** The limits that a motor's torque is held to: a motor that cannot lose steps needs less in hand. */
export const torqueLimits = (t: Trace) =>
  t.part('motor').loop === 'open' ? 'motor.torqueMargin.open' : 'motor.torqueMargin.closed'

/** How many preloads' worth of load a pair is held to: opened, it has play again. */
function keepsClosed(
  check: 'nut.preload' | 'bearing.preload',
  name: string,
  preload: number,
  t: Trace,
  say: Say,
): Judgement {
  const loadN = forces(t).maxN
  const { unloadingForceN: opensAtN } = t.figure(check, bearingPairShare, {
    preloadN: preload,
    externalN: loadN,
  })
  const ratio = loadN > 0 ? opensAtN / loadN : LIMITS[check].holds
  return {
    state: grade(check, ratio),
    figure: measure(loadN, 'force'),
    limit: measure(opensAtN, 'force'),
    use: loadN / opensAtN,
    sentence: `The ${name} opens at ${say(opensAtN, 'force')}, against a largest load of ${say(loadN, 'force')}: ${
      ratio >= 1 ? `${percent(ratio - 1, say)} in hand` : 'play comes back under load'
    }, because its preload is ${say(preload, 'force')}.`,
  }
}

export const SIZING_CHECKS: Check[] = [
  {
    checkId: 'motor.torqueMargin',
    title: 'Motor torque',
    subject: 'motor',
    stage: 'size',
    judge(t, say) {
      const check = torqueLimits(t)
      const wanted = LIMITS[check].holds
      const { margin, phase, speedRpm, requiredNm, availableNm } = torqueMargin(t)
      return {
        state: grade(check, margin),
        figure: measure(availableNm, 'torque'),
        limit: measure(requiredNm * wanted, 'torque'),
        use: wanted / margin,
        sentence: `At ${say(speedRpm, 'rotation')} the motor gives ${say(availableNm, 'torque')}; ${phase} takes ${say(
          requiredNm,
          'torque',
        )}. That is ${say(margin, 'ratio', 2)} times, against ${wanted} wanted of ${
          t.part('motor').loop === 'open' ? 'an open loop, which loses steps' : 'a closed loop'
        }.`,
      }
    },
  },
  {
    checkId: 'screw.criticalSpeed',
    title: 'Whip of the screw',
    subject: 'screw',
    stage: 'size',
    judge(t, say) {
      const rpm = topSpeedRpm(t)
      const { allowableSpeedRpm } = whip(t)
      return atMost(
        'screw.criticalSpeed',
        measure(rpm, 'rotation'),
        measure(allowableSpeedRpm, 'rotation'),
        `Top speed turns the screw at ${say(rpm, 'rotation')}; it may turn at ${say(
          allowableSpeedRpm,
          'rotation',
        )} before it whips, being ${say(t.part('screw').rootDiameterMm, 'length', 1)} at the root and held ${t.axis.ends}.`,
      )
    },
  },
  {
    checkId: 'screw.buckling',
    title: 'Buckling of the screw',
    subject: 'screw',
    stage: 'size',
    judge(t, say) {
      const pushN = forces(t).maxN
      const { allowableLoadN, regime } = strut(t)
      return atMost(
        'screw.buckling',
        measure(pushN, 'force'),
        measure(allowableLoadN, 'force'),
        `The largest push is ${say(pushN, 'force')}; ${say(allowableLoadN, 'force')} is allowed, half of what bends it out (${
          regime === 'euler' ? 'slender' : 'short'
        } strut, held ${t.axis.ends}).`,
      )
    },
  },
  {
    checkId: 'nut.speedValue',
    title: 'Speed of the nut',
    subject: 'nut',
    stage: 'size',
    judge(t, say) {
      const { pitchDiameterMm, speedValueLimit, kind } = t.part('screw')
      const { speedValue } = t.figure('speedValue', nutSpeedValue, {
        pitchDiameterMm,
        speedRpm: topSpeedRpm(t),
        limit: speedValueLimit,
      })
      return atMost(
        'nut.speedValue',
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
  {
    checkId: 'screw.life',
    title: 'Life of the screw',
    subject: 'screw',
    stage: 'size',
    judge(t, say) {
      const hours = nutLifeHours(t)
      if (hours === null) return null
      const { wantedLifeHours } = t.axis.goals
      return {
        state: grade('screw.life', hours / wantedLifeHours),
        figure: measure(hours, 'hours'),
        limit: measure(wantedLifeHours, 'hours'),
        use: wantedLifeHours / hours,
        sentence: `The nut is good for ${say(hours, 'hours')} of this work, against ${say(
          wantedLifeHours,
          'hours',
        )} wanted, with ${percent(t.axis.goals.cuttingShare, say)} of the time at ${say(
          t.axis.goals.cuttingForceN,
          'force',
        )} of cutting force.`,
      }
    },
  },
  {
    checkId: 'nut.staticSafety',
    title: 'Static safety of the nut',
    subject: 'nut',
    stage: 'size',
    judge(t, say) {
      const { staticCapacityN } = t.part('screw')
      const loadN = forces(t).maxN
      const wanted = LIMITS['nut.staticSafety'].holds
      const { safety } = t.figure('staticSafety', nutStaticSafety, {
        staticCapacityN,
        // An axis without any load at all is held to a newton, so that there is something to divide by.
        largestLoadN: Math.max(1, loadN),
      })
      return {
        state: grade('nut.staticSafety', safety),
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
  {
    checkId: 'nut.preload',
    title: 'Preload of the nut',
    subject: 'nut',
    stage: 'size',
    judge: (t, say) => (preloadN(t) > 0 ? keepsClosed('nut.preload', 'nut', preloadN(t), t, say) : null),
  },
  {
    checkId: 'bearing.preload',
    title: 'Preload of the bearings',
    subject: 'bearing',
    stage: 'size',
    judge: (t, say) =>
      t.part('bearing').axialPlayUm === 0
        ? keepsClosed('bearing.preload', 'bearing pair', t.part('bearing').preloadN, t, say)
        : null,
  },
  {
    checkId: 'coupler.torque',
    title: 'Torque of the coupler',
    subject: 'coupler',
    stage: 'size',
    judge(t, say) {
      const { ratedTorqueNm, serviceFactor } = t.part('coupler')
      const peakNm = t.part('motor').holdingTorqueNm
      t.figure('couplerUse', couplerTorqueUse, { peakTorqueNm: peakNm, serviceFactor, ratedTorqueNm })
      return atMost(
        'coupler.torque',
        measure(peakNm * serviceFactor, 'torque'),
        measure(ratedTorqueNm, 'torque'),
        `The motor can put ${say(peakNm, 'torque')} into the coupler, ${say(
          peakNm * serviceFactor,
          'torque',
        )} with the service factor of ${serviceFactor}; it is rated ${say(ratedTorqueNm, 'torque')}.`,
      )
    },
  },
  {
    checkId: 'coupler.bores',
    title: 'Bores of the coupler',
    subject: 'coupler',
    stage: 'size',
    judge(t, say) {
      const { smallestBoreMm, largestBoreMm } = t.part('coupler')
      const shafts = [
        { of: 'motor shaft', mm: t.part('motor').shaftMm },
        { of: 'end of the screw', mm: t.part('bearing').couplerSeatMm },
      ]
      const wrong = shafts.filter(({ mm }) => mm < smallestBoreMm || mm > largestBoreMm)
      const range = `${say(smallestBoreMm, 'length')} to ${say(largestBoreMm, 'length')}`
      const named = (wrong.length ? wrong : shafts)
        .map(({ of, mm }) => `the ${of} is ${say(mm, 'length')}`)
        .join(', ')
      return {
        state: wrong.length ? 'fails' : 'holds',
        figure: null,
        limit: null,
        use: null,
        sentence: `The coupler takes shafts of ${range}; ${named}.`,
      }
    },
  },
  {
    checkId: 'axis.lostMotion',
    title: 'Lost motion, reckoned',
    subject: 'axis',
    stage: 'size',
    judge(t, say) {
      const { totalUm, causes } = lostMotionBudget(t)
      const target = t.axis.goals.backlashTargetUm
      const [first] = causes
      return atMost(
        'axis.lostMotion',
        measure(totalUm, 'smallLength'),
        measure(target, 'smallLength'),
        `A reversal should lose ${say(totalUm, 'smallLength')}, against ${say(target, 'smallLength')} accepted. Most of it: ${(
          first?.label ?? 'nothing'
        ).toLowerCase()}, ${say(first?.um ?? 0, 'smallLength')}.`,
      )
    },
  },
  {
    checkId: 'axis.unpoweredDrop',
    title: 'When power goes',
    subject: 'axis',
    stage: 'size',
    judge(t, say) {
      if (t.dimension('inclineDeg') === 0) return null
      const { backdriveTorqueNm, holdingTorqueNm, drops } = powerLoss(t)
      const against = `the load turns the motor with ${say(backdriveTorqueNm, 'torque')}, against ${say(
        holdingTorqueNm,
        'torque',
      )} of detent and drag`
      return {
        state: drops ? 'fails' : 'holds',
        figure: measure(backdriveTorqueNm, 'torque'),
        limit: measure(holdingTorqueNm, 'torque'),
        use: backdriveTorqueNm / holdingTorqueNm,
        sentence: drops
          ? `The axis runs down: ${against}. Fit a brake or a counterbalance, and support the load on a block before anyone reaches under it.`
          : `The axis stays: ${against}. Vibration lowers that hold: support the load before working under it.`,
      }
    },
  },
]
