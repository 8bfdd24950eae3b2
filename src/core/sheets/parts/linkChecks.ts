import { defineChecks, type Judgement } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { standing } from '../../evaluation/finding'
import { atMost, measure } from '../../evaluation/measures'
import { NotKnown } from '../../evaluation/notKnown'
import { drivenTorqueNm, motorAsSet } from '../../machine/drive/motorTorque'
import { beltLoad, beltRun, isBelted, nutTurns } from '../../machine/drive/transmission'
import { couplerTorqueUse } from '../../machine/sizing/checkSums'
import { couplerMisalignmentUse } from '../../machine/sizing/coupler'
import { saySold } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import { LIMITS } from './limits'

interface Shaft {
  of: string
  mm: number
  leastMm: number
  mostMm: number
}

/** Whether the bores of a coupler or of pulleys suit the shafts. */
function bores(shafts: Shaft[], takes: string, units: UnitSystem): Judgement {
  const wrong = shafts.filter(({ mm, leastMm, mostMm }) => mm < leastMm || mm > mostMm)
  const named = (wrong.length ? wrong : shafts)
    .map(({ of, mm }) => `the ${of} is ${saySold(mm, units)}`)
    .join(', ')
  return {
    state: wrong.length ? 'fails' : 'holds',
    figure: null,
    limit: null,
    use: null,
    sentence: () => `${takes}; ${named}.`,
  }
}

/** What stays of a pulley round what it is bored out for. */
const RIM_MM = 4

const isDirect = (t: EvaluationContext) => !isBelted(t)

/** Checks of what joins motor and screw: a coupler, or a belt on its pulleys. */
export const LINK_CHECKS = defineChecks({
  'coupler.torque': {
    title: 'Torque of the coupler',
    subject: 'coupler',
    isGone: isBelted,
    judge(t, say) {
      if (isBelted(t)) return null
      const { ratedTorqueNm, serviceFactor } = t.part('coupler')
      const peakNm = drivenTorqueNm(motorAsSet(t))
      t.figure('couplerUse', couplerTorqueUse, { peakTorqueNm: peakNm, serviceFactor, ratedTorqueNm })
      return atMost(
        t,
        LIMITS['coupler.torque'],
        measure(peakNm * serviceFactor, 'torque'),
        measure(ratedTorqueNm, 'torque'),
        () =>
          `The motor can put ${say(peakNm, 'torque')} into the coupler, ${say(
            peakNm * serviceFactor,
            'torque',
          )} with the service factor of ${serviceFactor}; it is rated ${say(ratedTorqueNm, 'torque')}.`,
      )
    },
  },
  'coupler.bores': {
    title: 'Bores of the coupler',
    subject: 'coupler',
    isGone: isBelted,
    judge(t) {
      if (isBelted(t)) return null
      const { smallestBoreMm: leastMm, largestBoreMm: mostMm } = t.part('coupler')
      return bores(
        [
          { of: 'motor shaft', mm: t.part('motor').shaftMm, leastMm, mostMm },
          { of: 'end of the screw', mm: t.part('bearing').couplerSeatMm, leastMm, mostMm },
        ],
        `The coupler takes shafts of ${saySold(leastMm, t.units)} to ${saySold(mostMm, t.units)}`,
        t.units,
      )
    },
  },
  'coupler.misalignment': {
    title: 'Shafts out of line',
    subject: 'coupler',
    isGone: isBelted,
    judge(t, say) {
      if (isBelted(t)) return null
      const { parallelLimitMm, angularLimitDeg, axialLimitMm, hubGapMm } = t.part('coupler')
      const parallelMm = t.dimension('shaftParallelMm')
      const angularDeg = t.dimension('shaftAngleDeg')
      const { use } = t.figure('misalignment', couplerMisalignmentUse, {
        parallelMm,
        angularDeg,
        axialMm: t.dimension('shaftAxialMm'),
        parallelLimitMm,
        angularLimitDeg,
        axialLimitMm,
      })
      return {
        ...standing(t, LIMITS['coupler.misalignment'], use),
        figure: measure(use, 'share'),
        limit: measure(1, 'share'),
        use,
        sentence: () =>
          `${say(parallelMm, 'length')} beside, ${say(angularDeg, 'angle')} at an angle and what it is pushed along use ${say(
            use,
            'share',
            0,
          )} of what the coupler bears${hubGapMm > 0 ? `. Keep ${say(hubGapMm, 'length')} between its hubs` : ''}.`,
      }
    },
  },
  'belt.pull': {
    title: 'Pull of the belt',
    subject: 'belt',
    isGone: isDirect,
    judge(t, say) {
      if (!isBelted(t)) return null
      const { ratedPullN, serviceFactor } = t.part('belt')
      const { effectivePullN, strandTensionN, spanFrequencyHz } = beltLoad(t)
      const { beltTeeth, centreDistanceMm } = beltRun(t)
      const pullN = effectivePullN * serviceFactor
      return atMost(
        t,
        LIMITS['belt.pull'],
        measure(pullN, 'force'),
        measure(ratedPullN, 'force'),
        () =>
          `The motor can pull the belt with ${say(effectivePullN, 'force')}, ${say(pullN, 'force')} with the service factor of ${serviceFactor}; it is rated ${say(
            ratedPullN,
            'force',
          )}. Take ${beltTeeth} teeth at ${say(centreDistanceMm, 'length', 1)} and tension each strand to ${say(
            strandTensionN,
            'force',
          )}: plucked, it sounds at ${say(spanFrequencyHz, 'frequency')}.`,
      )
    },
  },
  'belt.motorShaft': {
    title: "Belt's pull on the motor",
    subject: 'belt',
    isGone: isDirect,
    judge(t, say) {
      if (!isBelted(t)) return null
      const { shaftLoadLimitN, name } = t.part('motor')
      if (shaftLoadLimitN === null)
        throw new NotKnown({
          sheet: 'parts',
          stage: 'size',
          what: `what the shaft of ${name} bears sideways, from its sheet`,
        })
      const { shaftLoadN } = beltLoad(t)
      return atMost(
        t,
        LIMITS['belt.motorShaft'],
        measure(shaftLoadN, 'force'),
        measure(shaftLoadLimitN, 'force'),
        () =>
          `Tensioned for the motor's greatest torque, the belt pulls its shaft sideways with ${say(shaftLoadN, 'force')}, against ${say(shaftLoadLimitN, 'force')} that its bearings take. Set the pulley close to the motor's face.`,
      )
    },
  },
  'belt.mesh': {
    title: 'Teeth in mesh',
    subject: 'belt',
    isGone: isDirect,
    judge(t, say) {
      if (!isBelted(t)) return null
      const { teethInMesh } = beltRun(t)
      const wanted = t.limits(LIMITS['belt.mesh']).holds
      return {
        ...standing(t, LIMITS['belt.mesh'], teethInMesh),
        figure: measure(teethInMesh, 'ratio'),
        limit: measure(wanted, 'ratio'),
        use: wanted / teethInMesh,
        sentence: () =>
          `${say(teethInMesh, 'ratio', 1)} teeth of the small pulley are in mesh, against ${wanted} wanted: with fewer the belt jumps.`,
      }
    },
  },
  'belt.bores': {
    title: 'Bores of the pulleys',
    subject: 'belt',
    isGone: isDirect,
    judge(t, say) {
      if (!isBelted(t)) return null
      const { smallestBoreMm, largestBoreMm, largestScrewBoreMm, pitchMm, teethScrew } = t.part('belt')
      const motor = {
        of: 'motor shaft',
        mm: t.part('motor').shaftMm,
        leastMm: smallestBoreMm,
        mostMm: largestBoreMm,
      }
      if (nutTurns(t)) {
        const roundMm = (pitchMm * teethScrew) / Math.PI
        const body = {
          of: 'nut that it goes round',
          mm: t.part('screw').nutBodyDiameterMm,
          leastMm: 0,
          mostMm: roundMm - 2 * RIM_MM,
        }
        return bores(
          [motor, body],
          `The pulley on the motor takes shafts from ${saySold(smallestBoreMm, t.units)} up to ${saySold(largestBoreMm, t.units)}; that of the nut is ${say(roundMm, 'length', 1)} round and is bored out for it, with a rim of ${say(RIM_MM, 'length', 1)} left`,
          t.units,
        )
      }
      return bores(
        [
          motor,
          {
            of: 'end of the screw',
            mm: t.part('bearing').couplerSeatMm,
            leastMm: smallestBoreMm,
            mostMm: largestScrewBoreMm,
          },
        ],
        `The pulleys take shafts from ${saySold(smallestBoreMm, t.units)} up to ${saySold(largestBoreMm, t.units)} on the motor and ${saySold(largestScrewBoreMm, t.units)} on the screw`,
        t.units,
      )
    },
  },
})
