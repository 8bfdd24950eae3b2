import { defineChecks, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { MOST_MARGIN, standing } from '../../evaluation/finding'
import { atMost, measure, NO_FIGURES } from '../../evaluation/measures'
import { budget, correctionEveryMm, leadAsItRuns } from '../../machine/drive/accuracy'
import { chosenBrake } from '../../machine/drive/brake'
import { endWords, loadShare, massKg } from '../../machine/drive/load'
import {
  driveStiffness,
  handDrive,
  hangsBehind,
  lostMotionBudget,
  onOneFlank,
  powerLoss,
  swing,
  turnsRoundN,
} from '../../machine/drive/stiffness'
import { stall } from '../../machine/drive/strength'
import { efficiency } from '../../machine/drive/torque'
import { isBelted, nutTurns } from '../../machine/drive/transmission'
import { movingPart } from '../../machine/movingPart'
import { TABLED_UP_TO_MM } from '../../machine/sizing/screwAccuracy'
import { travel } from '../../machine/travel/placement'
import { saySold } from '../../units/print'
import { LIMITS } from './limits'

/** Said wherever a load hangs on a belt. */
export const HELD_BY_BELT =
  'It hangs on the belt: where that breaks or jumps, neither motor nor brake holds it.'

/** Where weight keeps the drive on one flank: from what lift its play counts. */
function flankWords(t: EvaluationContext, say: Say): string {
  const liftN = turnsRoundN(t)
  if (liftN === null) return ''
  const play = t.part('screw').nutPlayUm > 0 || t.part('bearing').axialPlayUm > 0
  if (!play) return ''
  const force = say(liftN, 'force')
  return onOneFlank(t)
    ? ` The weight keeps nut and bearings on one flank: their play only shows where a cut lifts with more than ${force}.`
    : ` A cut that lifts with more than ${force} turns the load round: from there the play of nut and bearings counts.`
}

const SOFT_WORDS = {
  screw: 'the screw along its length',
  torsion: 'the screw in torsion',
  nut: 'the nut',
  bearing: 'the bearings',
  coupler: 'the coupler or the belt',
}

/** Checks of the drive as a whole. */
export const DRIVE_CHECKS = defineChecks({
  'axis.lostMotion': {
    title: 'Lost motion, reckoned',
    subject: 'axis',
    judge(t, say) {
      const { totalUm, causes } = lostMotionBudget(t)
      const target = t.axis.goals.backlashTargetUm
      const [first] = causes
      return atMost(
        t,
        LIMITS['axis.lostMotion'],
        measure(totalUm, 'smallLength'),
        measure(target, 'smallLength'),
        () =>
          `A reversal should lose ${say(totalUm, 'smallLength')}, against ${say(target, 'smallLength')} accepted. Most of it: ${(
            first?.label ?? 'nothing'
          ).toLowerCase()}, ${say(first?.um ?? 0, 'smallLength')}.${flankWords(t, say)}`,
      )
    },
  },
  'axis.stallThrust': {
    title: 'Thrust at a stall',
    subject: 'axis',
    judge(t, say) {
      const { thrustN, weakest } = stall(t)
      return atMost(
        t,
        LIMITS['axis.stallThrust'],
        measure(thrustN, 'force'),
        measure(weakest.bearsN, 'force'),
        () =>
          `Run into a stop, the motor pushes with ${say(thrustN, 'force')}; the weakest that this meets is ${weakest.what}, which bears ${say(
            weakest.bearsN,
            'force',
          )}.`,
      )
    },
  },
  'axis.unpoweredDrop': {
    title: 'When power goes',
    subject: 'axis',
    judge(t, say) {
      if (t.dimension('inclineDeg') === 0) return null
      const { backdriveTorqueNm, holdingTorqueNm, reserve, runs, end } = powerLoss(t)
      const limits = t.limits(LIMITS['axis.unpoweredDrop'])
      const brake = chosenBrake(t)
      const holdsIt = brake ? 'detent, drag and brake' : 'detent and drag'
      const figures = {
        figure: measure(backdriveTorqueNm, 'torque'),
        limit: measure(holdingTorqueNm / limits.holds, 'torque'),
      }
      const support = 'Support the load before working under it.'
      if (reserve === null)
        return {
          ...standing(t, LIMITS['axis.unpoweredDrop'], MOST_MARGIN),
          ...figures,
          use: 0,
          sentence: () =>
            `Nothing turns the screw when power goes: ${efficiency(t).backward === 0 ? 'it locks itself' : 'the counterbalance takes the whole weight'}. Vibration can still let it creep: ${support.toLowerCase()}`,
        }
      const { state, ...rest } = standing(t, LIMITS['axis.unpoweredDrop'], reserve)
      const at = end ? `, ${endWords(end, say)}` : ''
      const against = `the load turns the motor with ${say(backdriveTorqueNm, 'torque')}, against ${say(
        holdingTorqueNm,
        'torque',
      )} of ${holdsIt}: ${reserve > 100 ? 'more than 100' : say(reserve, 'ratio', 1)} times, ${say(limits.holds, 'ratio', 1)} wanted${at}. The friction of the ways is not counted on`
      const goes = runs === 'up' ? 'runs up, over-balanced' : 'runs down'
      const byBelt = isBelted(t) ? ` ${HELD_BY_BELT}` : ''
      return {
        state,
        ...rest,
        ...figures,
        use: limits.holds / reserve,
        sentence: () =>
          state === 'holds'
            ? `The axis stays: ${against}.${byBelt} ${support}`
            : `The axis ${reserve < 1 ? goes : `may ${runs === 'up' ? 'run up, over-balanced' : 'run down'}`}: ${against}. ${
                brake ? 'A stronger brake' : 'A brake'
              }, ${runs === 'up' ? 'less' : 'more'} counterbalance or a finer lead holds it.${byBelt} ${support}`,
      }
    },
  },
  'brake.bore': {
    title: 'Bore of the brake',
    subject: 'motor',
    judge(t) {
      const brake = chosenBrake(t)
      if (!brake) return null
      const { shaftMm } = t.part('motor')
      const fits = shaftMm >= brake.smallestBoreMm && shaftMm <= brake.largestBoreMm
      return {
        ...NO_FIGURES,
        state: fits ? 'holds' : 'fails',
        sentence: () =>
          `The brake takes shafts of ${saySold(brake.smallestBoreMm, t.units)} to ${saySold(brake.largestBoreMm, t.units)}; that of the motor is ${saySold(shaftMm, t.units)}.`,
      }
    },
  },
  'axis.positionBudget': {
    title: 'Position over the travel',
    subject: 'axis',
    judge(t, say) {
      const { totalUm, leadUm, growthUm, lostMotionUm, fullStepUm } = budget(t)
      const lead = leadAsItRuns(t)
      const { travelMm } = travel(t)
      const { toleranceClass } = t.part('screw')
      const { leadTable } = t.axis.drive
      const { leadTableIn } = t.axis.controller
      const target = t.axis.goals.accuracyTargetUm
      const um = (value: number) => say(value, 'smallLength')
      const parts = [
        `lead ${um(leadUm)} (${leadTable ? (leadTableIn ? 'corrected from the table in the controller' : 'once it is corrected from a table, which nobody has made yet') : `as class ${toleranceClass} allows`})`,
        ...(growthUm > 0 ? [`growth of the screw ${um(growthUm)}`] : []),
        ...(lostMotionUm > 0 ? [`half of the lost motion ${um(lostMotionUm / 2)}`] : []),
        ...(fullStepUm > 0 ? [`half a full step ${um(fullStepUm / 2)}`] : []),
      ]
      const judged = atMost(
        t,
        LIMITS['axis.positionBudget'],
        measure(totalUm, 'smallLength'),
        measure(target, 'smallLength'),
        () =>
          `A place may be off by ${um(totalUm)} over the travel, against ${um(target)} accepted: ${parts.join(', ')}.${
            leadTable || lead.classUm - lead.leftUm < 1
              ? ''
              : ` Measured, and corrected in the controller from a table every ${say(correctionEveryMm(t), 'length', 1)}, the lead is off by ${um(lead.leftUm)}.`
          }${
            toleranceClass.startsWith('P') && travelMm > TABLED_UP_TO_MM
              ? ` The class is tabled up to ${say(TABLED_UP_TO_MM, 'length', 0)}: beyond, it goes on in proportion.`
              : ''
          }`,
      )
      const asCorrected = (totalUm - leadUm + lead.leftUm) / target
      return { ...judged, rankMargin: standing(t, LIMITS['axis.positionBudget'], asCorrected).margin }
    },
  },
  'axis.cutDeflection': {
    title: 'Give under the cut',
    subject: 'axis',
    judge(t, say) {
      const { cuttingForceN, accuracyTargetUm } = t.axis.goals
      if (cuttingForceN === 0) return null
      const forceN = cuttingForceN * loadShare(t)
      const { stiffnessNPerUm, parts } = driveStiffness(t)
      const [softest] = Object.entries(parts).toSorted(([, a], [, b]) => a - b)
      return atMost(
        t,
        LIMITS['axis.cutDeflection'],
        measure(forceN / stiffnessNPerUm, 'smallLength'),
        measure(accuracyTargetUm, 'smallLength'),
        () =>
          `A cut of ${say(forceN, 'force')} pushes the ${movingPart(t.axis)} ${say(forceN / stiffnessNPerUm, 'smallLength')} along on its drive, against ${say(accuracyTargetUm, 'smallLength')} of position accepted. The softest part is ${SOFT_WORDS[softest?.[0] as keyof typeof parts]}.`,
      )
    },
  },
  'axis.dynamicGive': {
    title: 'Give while speeding up',
    subject: 'axis',
    judge(t, say) {
      const { giveUm } = hangsBehind(t)
      const { accelerationMmPerS2, backlashTargetUm } = t.axis.goals
      return atMost(
        t,
        LIMITS['axis.dynamicGive'],
        measure(giveUm, 'smallLength'),
        measure(backlashTargetUm / 2, 'smallLength'),
        () =>
          `Speeding up by ${say(accelerationMmPerS2, 'acceleration')}, the ${movingPart(t.axis)} hangs ${say(giveUm, 'smallLength')} behind on its drive, against half of the ${say(backlashTargetUm, 'smallLength')} that a reversal may lose. A jolt makes it swing at ${say(swing(t).frequencyHz, 'frequency', 0)}, so much mass on so soft a drive: ${say(massKg(t), 'mass')} on ${say(driveStiffness(t).stiffnessNPerUm, 'stiffness')}.`,
      )
    },
  },
  'drive.racking': {
    title: 'Two screws against each other',
    subject: 'screw',
    judge(t, say) {
      if (t.axis.drive.screws !== 2) return null
      const { runsUm, leftUm } = leadAsItRuns(t)
      const target = t.axis.goals.rackingTargetUm
      const { leadTable } = t.axis.drive
      return atMost(
        t,
        LIMITS['drive.racking'],
        measure(2 * runsUm, 'smallLength'),
        measure(target, 'smallLength'),
        () =>
          `The leads of two screws may differ by ${say(2 * runsUm, 'smallLength')} over the travel, which pulls the gantry out of square by that, against ${say(target, 'smallLength')} accepted.${
            leadTable
              ? ' Each screw needs a table of its own.'
              : ` Each measured and corrected from a table of its own, ${say(2 * leftUm, 'smallLength')} is left.`
          }`,
      )
    },
  },
  'axis.handwheel': {
    title: 'Turning it by hand',
    subject: 'axis',
    isGone: t => !t.axis.drive.handwheelKept,
    judge(t, say) {
      if (!t.axis.drive.handwheelKept) return null
      if (nutTurns(t))
        return {
          ...NO_FIGURES,
          state: 'fails',
          sentence: 'The screw stands, so a handwheel on it turns nothing: let the wheel go.',
        }
      if (t.axis.ends === 'fixed-free')
        return {
          ...NO_FIGURES,
          state: 'fails',
          sentence:
            'A handwheel needs a far end that is held: on a free end it swings the screw. Hold the far end, or let the wheel go.',
        }
      const { rimForceN, motorShare } = handDrive(t)
      const { holds } = t.limits(LIMITS['axis.handwheel'])
      return {
        ...standing(t, LIMITS['axis.handwheel'], rimForceN),
        figure: measure(rimForceN, 'force'),
        limit: measure(holds, 'force'),
        use: rimForceN / holds,
        sentence: () =>
          `The handwheel takes ${say(rimForceN, 'force')} at its grip, against ${say(holds, 'force')} that a hand turns all day; ${say(
            motorShare,
            'share',
            0,
          )} of it turns the motor along. Cut the motor's current first: a powered motor holds against the hand, and a running one turns the handle.`,
      }
    },
  },
})
