import { defineChecks } from '../../evaluation/check'
import { standing } from '../../evaluation/finding'
import { limitsOf } from '../../evaluation/limits'
import { atMost, measure } from '../../evaluation/measures'
import { handDrive, lostMotionBudget, powerLoss } from '../../machine/drive/stiffness'
import { stall } from '../../machine/drive/strength'
import { LIMITS } from './limits'

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
        `A reversal should lose ${say(totalUm, 'smallLength')}, against ${say(target, 'smallLength')} accepted. Most of it: ${(
          first?.label ?? 'nothing'
        ).toLowerCase()}, ${say(first?.um ?? 0, 'smallLength')}.`,
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
  'axis.handwheel': {
    title: 'Turning it by hand',
    subject: 'axis',
    judge(t, say) {
      if (!t.axis.drive.handwheelKept) return null
      const { rimForceN, motorShare } = handDrive(t)
      const { holds } = limitsOf(t.axis, LIMITS['axis.handwheel'])
      return {
        ...standing(t.axis, LIMITS['axis.handwheel'], rimForceN),
        figure: measure(rimForceN, 'force'),
        limit: measure(holds, 'force'),
        use: rimForceN / holds,
        sentence: `The handwheel takes ${say(rimForceN, 'force')} at its grip, against ${say(holds, 'force')} that a hand turns all day; ${say(
          motorShare,
          'share',
          0,
        )} of it turns the motor along. Cut the motor's current first: a powered motor holds against the hand, and a running one turns the handle.`,
      }
    },
  },
})
