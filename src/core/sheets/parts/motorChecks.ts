import { defineChecks } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { standing } from '../../evaluation/finding'
import { limitsOf } from '../../evaluation/limits'
import { atMost, measure } from '../../evaluation/measures'
import { steps } from '../../machine/drive/stiffness'
import { inertiaMatch, torqueMargin } from '../../machine/drive/torque'
import { LIMITS } from './limits'

/** The limits that a motor's torque is held to: a motor that cannot lose steps needs less in hand. */
export const torqueLimits = (t: EvaluationContext) =>
  LIMITS[t.part('motor').loop === 'open' ? 'motor.torqueMargin.open' : 'motor.torqueMargin.closed']

export const MOTOR_CHECKS = defineChecks({
  'motor.torqueMargin': {
    title: 'Motor torque',
    subject: 'motor',
    judge(t, say) {
      const limits = torqueLimits(t)
      const wanted = limitsOf(t.axis, limits).holds
      const { margin, phase, speedRpm, requiredNm, availableNm } = torqueMargin(t)
      return {
        ...standing(t.axis, limits, margin),
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
  'motor.inertiaRatio': {
    title: 'Inertia of the load',
    subject: 'motor',
    judge(t, say) {
      const { ratio } = inertiaMatch(t)
      const { holds } = limitsOf(t.axis, LIMITS['motor.inertiaRatio'])
      return {
        ...standing(t.axis, LIMITS['motor.inertiaRatio'], ratio),
        figure: measure(ratio, 'ratio'),
        limit: measure(holds, 'ratio'),
        use: ratio / holds,
        sentence: `The load turns ${say(ratio, 'ratio', 1)} times as heavily as the rotor; up to ${holds} a motor stops it cleanly, beyond that it rings or loses steps.`,
      }
    },
  },
  'motor.step': {
    title: 'Size of a step',
    subject: 'motor',
    judge(t, say) {
      if (t.part('motor').loop === 'closed') return null
      const { fullStepUm, microstepUm, torquePerMicrostepNm } = steps(t)
      const target = t.axis.goals.accuracyTargetUm
      return atMost(
        t,
        LIMITS['motor.step'],
        measure(fullStepUm, 'smallLength'),
        measure(target, 'smallLength'),
        `A full step moves the table ${say(fullStepUm, 'smallLength')}, against ${say(
          target,
          'smallLength',
        )} accepted. Microsteps of ${say(microstepUm, 'smallLength')} run smoother but are no accuracy: each adds ${say(
          torquePerMicrostepNm,
          'torque',
        )}.`,
      )
    },
  },
})
