import type { PartOf } from '../../document/parts/types'
import { defineChecks, type Judgement, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { CLOSE_MARGIN, MOST_MARGIN, standing } from '../../evaluation/finding'
import { atMost, lifeWords, livesAtLeast, measure, NO_FIGURES, percent } from '../../evaluation/measures'
import { cuttingSpeedRpm, forces, topSpeedRpm, worstEndWords } from '../../machine/drive/load'
import { onOneFlank } from '../../machine/drive/stiffness'
import { bearingLifeHours, bearingPullN } from '../../machine/drive/strength'
import { preloadN } from '../../machine/drive/torque'
import { isBelted, nutTurns } from '../../machine/drive/transmission'
import { bearingPairShare } from '../../machine/sizing/bearing'
import { isSprung } from '../../machine/sizing/bearingRating'
import { nutPressureSpeed, nutSpeedValue, nutStaticSafety } from '../../machine/sizing/checkSums'
import { saySold } from '../../units/print'
import { LIMITS } from './limits'

/** How many preloads' worth of load a pair is held to: opened, it has play again. */
function keepsClosed(
  check: 'nut.preload' | 'bearing.preload',
  name: string,
  preload: number,
  t: EvaluationContext,
  say: Say,
  besidesN = 0,
): Judgement {
  const loadN = forces(t).maxN + besidesN
  const { unloadingForceN: opensAtN } = t.figure(check, bearingPairShare, {
    preloadN: preload,
    externalN: loadN,
  })
  // An axis without any load at all is held to a newton, so that there is something to divide by.
  const ratio = opensAtN / Math.max(1, loadN)
  return {
    ...standing(t, LIMITS[check], ratio),
    figure: measure(loadN, 'force'),
    limit: measure(opensAtN, 'force'),
    use: loadN / opensAtN,
    sentence: () =>
      `The ${name} opens at ${say(opensAtN, 'force')}, where one side of it lets go and there is play, against a largest load of ${say(loadN, 'force')}${besidesN > 0 ? `, ${say(besidesN, 'force')} of it the pull of the stretched screw` : ''}: ${
        ratio >= 1 ? `${percent(ratio - 1, say)} in hand` : 'play comes back under load'
      }, because its preload is ${say(preload, 'force')}.${worstEndWords(t, say)}`,
  }
}

/** Two bearings on a wave spring: what the spring holds together, and what a stretched screw makes of it. */
function onItsSpring(t: EvaluationContext, say: Say): Judgement {
  const { axialPlayUm, preloadN: springN } = t.part('bearing')
  const pull = bearingPullN(t)
  const loadN = forces(t).maxN + pull
  const figures = {
    figure: measure(loadN, 'force'),
    limit: measure(springN, 'force'),
    use: loadN / springN,
  }
  if (pull > 0)
    return {
      ...standing(t, LIMITS['bearing.preload'], springN / loadN),
      ...figures,
      sentence: () =>
        `A wave spring of ${say(springN, 'force')} cannot hold a screw stretched: its pull of ${say(pull, 'force')} presses the spring flat, and once the screw is warm and the pull gone, the play of ${say(axialPlayUm, 'smallLength')} is there. Two fixed ends want pairs that are preloaded.`,
    }
  const gives = loadN > springN
  return {
    state: gives ? 'close' : 'holds',
    margin: gives ? CLOSE_MARGIN : MOST_MARGIN,
    ...figures,
    sentence: () =>
      `A wave spring keeps the pair together up to ${say(springN, 'force')}; the largest load is ${say(loadN, 'force')}. ${
        gives
          ? `Beyond the spring the screw moves by the play of ${say(axialPlayUm, 'smallLength')}, which the lost motion counts.`
          : 'The spring is enough for that.'
      }`,
  }
}

/** A set that has play is not preloaded: it is crossed at every reversal, unless weight keeps it on one flank. */
function hasPlay(t: EvaluationContext, say: Say): Judgement {
  const { axialPlayUm } = t.part('bearing')
  const closed = onOneFlank(t)
  const pull = bearingPullN(t)
  return {
    state: closed ? 'holds' : 'close',
    margin: closed ? MOST_MARGIN : CLOSE_MARGIN,
    ...NO_FIGURES,
    sentence: () =>
      `These bearings have ${say(axialPlayUm, 'smallLength')} of play and no preload: ${
        closed
          ? 'the weight keeps them on one flank.'
          : `each reversal crosses it, which the lost motion counts, and no locknut takes it out.${
              pull > 0
                ? ` The ${say(pull, 'force')} that stretch the screw close it while it is cold, and no longer once it is warm.`
                : ''
            }`
      }`,
  }
}

/** Bearings that a nut turns in: it must go through their rings. */
const roundNut = (boreMm: number, bodyMm: number, t: EvaluationContext, say: Say): Judgement => {
  const fits = boreMm >= bodyMm
  return {
    state: fits ? 'holds' : 'fails',
    margin: fits ? MOST_MARGIN : 0,
    figure: measure(bodyMm, 'length'),
    limit: measure(boreMm, 'length'),
    use: bodyMm / boreMm,
    sentence: () =>
      fits
        ? `The nut of ${say(bodyMm, 'length', 1)} turns in bearings of ${saySold(boreMm, t.units)}, on a sleeve or turned to fit, against a shoulder and its locknut.`
        : `The nut turns, and is ${say(bodyMm, 'length', 1)} round its body: bearings of ${saySold(boreMm, t.units)} do not go over it. It wants a set for a nut.`,
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
        () =>
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
      const wanted = t.limits(LIMITS['nut.staticSafety']).holds
      const { safety } = t.figure('staticSafety', nutStaticSafety, {
        staticCapacityN,
        largestLoadN: Math.max(1, loadN),
      })
      return {
        ...standing(t, LIMITS['nut.staticSafety'], safety),
        figure: measure(loadN, 'force'),
        limit: measure(staticCapacityN / wanted, 'force'),
        use: (wanted * loadN) / staticCapacityN,
        sentence: () =>
          `The largest load is ${say(loadN, 'force')}; the nut carries ${say(staticCapacityN, 'force')} at rest: ${say(
            safety,
            'ratio',
            1,
          )} times, against ${wanted} wanted: beyond that its balls may dent the groove.${worstEndWords(t, say)}`,
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
    judge(t, say) {
      const bearing = t.part('bearing')
      const { axialPlayUm, preloadN: pairN } = bearing
      if (axialPlayUm === 0)
        return keepsClosed('bearing.preload', 'bearing pair', pairN, t, say, bearingPullN(t))
      return isSprung(bearing) ? onItsSpring(t, say) : hasPlay(t, say)
    },
  },
  'bearing.life': {
    title: 'Life of the bearings',
    subject: 'bearing',
    judge(t, say) {
      const hours = bearingLifeHours(t)
      const { wantedLifeHours } = t.axis.goals
      return livesAtLeast(
        t,
        LIMITS['bearing.life'],
        hours,
        wantedLifeHours,
        () =>
          `The bearings ${nutTurns(t) ? 'that the nut turns in' : 'of the fixed end'} are good for ${lifeWords(hours, say)}, against ${say(wantedLifeHours, 'hours')} wanted${onTopOfLoad(
            [
              ...preloadWords(t.part('bearing')),
              ...(isBelted(t) ? ['the pull of the belt'] : []),
              ...(bearingPullN(t) > 0 ? [`the ${say(bearingPullN(t), 'force')} that stretch the screw`] : []),
            ],
          )}.`,
      )
    },
  },
  'bearing.seat': {
    title: 'Seat of the bearings',
    subject: 'bearing',
    judge(t, say) {
      const { boreMm } = t.part('bearing')
      const { rootDiameterMm, nutBodyDiameterMm } = t.part('screw')
      if (nutTurns(t)) return roundNut(boreMm, nutBodyDiameterMm, t, say)
      const shoulderMm = (rootDiameterMm - boreMm) / 2
      const { holds } = t.limits(LIMITS['bearing.seat'])
      return {
        ...standing(t, LIMITS['bearing.seat'], Math.max(0, shoulderMm)),
        figure: measure(Math.max(0, shoulderMm), 'length'),
        limit: measure(holds, 'length'),
        use: shoulderMm > 0 ? holds / shoulderMm : null,
        sentence: () =>
          shoulderMm > 0
            ? `The bore of ${saySold(boreMm, t.units)} leaves a shoulder of ${say(shoulderMm, 'length', 2)} on a screw of ${say(rootDiameterMm, 'length', 1)} at the root, against ${say(holds, 'length', 2)} for the ring to stand on.`
            : `The bore of ${saySold(boreMm, t.units)} leaves no shoulder on a screw of ${say(rootDiameterMm, 'length', 1)} at the root.`,
      }
    },
  },
  'nut.pressureSpeed': {
    title: 'Wear of the sliding nut',
    subject: 'nut',
    isGone: t => t.part('screw').kind === 'ball',
    judge(t, say) {
      const screw = t.part('screw')
      const { pressureSpeedLimitMpaMPerMin: limit } = screw
      if (limit === null) return null
      const { pressureSpeedMpaMPerMin, pressureMpa, slidingMPerMin } = worstSliding(t)
      return atMost(
        t,
        LIMITS['nut.pressureSpeed'],
        measure(pressureSpeedMpaMPerMin, 'pressureSpeed'),
        measure(limit, 'pressureSpeed'),
        () =>
          `At its worst the nut presses with ${say(pressureMpa, 'pressure')} and slides at ${say(slidingMPerMin * 1000, 'speed')}: ${say(pressureSpeedMpaMPerMin, 'pressureSpeed')}, against ${say(limit, 'pressureSpeed')} that it bears oiled before it wears away.`,
      )
    },
  },
})

const preloadWords = (bearing: PartOf['bearing']) =>
  isSprung(bearing) ? ['the push of the spring'] : bearing.axialPlayUm === 0 ? ['their preload'] : []

const onTopOfLoad = (things: string[]) =>
  things.length === 0
    ? ''
    : `, with ${things.length < 2 ? things.join('') : `${things.slice(0, -1).join(', ')} and ${things.at(-1)}`} on top of the load`

/** Cutting or running, whichever wears a sliding nut faster. */
function worstSliding(t: EvaluationContext) {
  const { pitchDiameterMm, nominalDiameterMm, leadMm, nutBodyLengthMm } = t.part('screw')
  const { cutUpN, cutDownN, cruiseUpN, cruiseDownN } = forces(t)
  const at = (forceN: number, speedRpm: number) => ({
    forceN,
    pitchDiameterMm,
    leadMm,
    // Of a trapezoidal thread the pitch diameter lies half a pitch under the outside.
    pitchMm: 2 * (nominalDiameterMm - pitchDiameterMm),
    nutLengthMm: nutBodyLengthMm,
    speedRpm,
  })
  const cutting = at(Math.max(Math.abs(cutUpN), Math.abs(cutDownN)), cuttingSpeedRpm(t))
  const running = at(Math.max(Math.abs(cruiseUpN), Math.abs(cruiseDownN)), topSpeedRpm(t))
  const worst = cutting.forceN * cutting.speedRpm > running.forceN * running.speedRpm ? cutting : running
  return t.figure('pressureSpeed', nutPressureSpeed, worst)
}
