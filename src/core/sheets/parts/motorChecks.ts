import { defineChecks } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { standing } from '../../evaluation/finding'
import { atMost, measure, NO_FIGURES } from '../../evaluation/measures'
import { steps } from '../../machine/drive/stiffness'
import { dutyTorqueNm, inertiaMatch, torqueMargin } from '../../machine/drive/torque'
import { movingPart } from '../../machine/movingPart'
import { LIMITS } from './limits'

/** The limits that a motor's torque is held to: a motor that cannot lose steps needs less in hand. */
export const torqueLimits = (t: EvaluationContext) =>
  LIMITS[t.part('motor').loop === 'open' ? 'motor.torqueMargin.open' : 'motor.torqueMargin.closed']

/** Rates at which a stepper swings about its steps, without much to damp it. */
const RESONANT_STEPS_PER_S = [100, 300] as const
/** From so many microsteps on a step is no blow that sets the rotor swinging. */
export const CALM_MICROSTEPS = 8

export const MOTOR_CHECKS = defineChecks({
  'motor.torqueMargin': {
    title: 'Motor torque',
    subject: 'motor',
    judge(t, say) {
      const limits = torqueLimits(t)
      const wanted = t.limits(limits).holds
      const { margin, phase, speedRpm, requiredNm, availableNm } = torqueMargin(t)
      return {
        ...standing(t, limits, margin),
        figure: measure(availableNm, 'torque'),
        limit: measure(requiredNm * wanted, 'torque'),
        use: wanted / margin,
        sentence: () =>
          `At ${say(speedRpm, 'rotation')} the motor gives ${say(availableNm, 'torque')}; ${phase} takes ${say(
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
      const { holds } = t.limits(LIMITS['motor.inertiaRatio'])
      return {
        ...standing(t, LIMITS['motor.inertiaRatio'], ratio),
        figure: measure(ratio, 'ratio'),
        limit: measure(holds, 'ratio'),
        use: ratio / holds,
        sentence: () =>
          `The load turns ${say(ratio, 'ratio', 1)} times as heavily as the rotor; up to ${holds} a motor stops it cleanly, beyond that it rings or loses steps.`,
      }
    },
  },
  'motor.rmsTorque': {
    title: 'Torque of the servo all day',
    subject: 'motor',
    judge(t, say) {
      const { continuousTorqueNm } = t.part('motor')
      if (continuousTorqueNm === null) return null
      const rmsNm = dutyTorqueNm(t)
      return atMost(
        t,
        LIMITS['motor.rmsTorque'],
        measure(rmsNm, 'torque'),
        measure(continuousTorqueNm, 'torque'),
        () =>
          `Over a typical hour the motor gives ${say(rmsNm, 'torque')}, as its windings feel it, against ${say(continuousTorqueNm, 'torque')} that it bears all day.`,
      )
    },
  },
  'motor.resonance': {
    title: 'Feeds that shake the motor',
    subject: 'motor',
    judge(t, say) {
      const motor = t.part('motor')
      if (motor.loop === 'closed') return null
      const { fullStepUm, microstepUm, torquePerMicrostepNm } = steps(t)
      const feed = (stepsPerS: number) => (stepsPerS * fullStepUm * 60) / 1000
      const { cuttingFeedMmPerMin } = t.axis.goals
      const [from, to] = RESONANT_STEPS_PER_S
      const { microsteps } = t.axis.drive
      const within = cuttingFeedMmPerMin >= feed(from) && cuttingFeedMmPerMin <= feed(to)
      const shakes = within && microsteps < CALM_MICROSTEPS
      const range = `feeds from ${say(feed(from), 'speed')} to ${say(feed(to), 'speed')}`
      const calm = within ? `${microsteps} microsteps to a step calm it there` : ''
      return {
        state: shakes ? 'close' : 'holds',
        ...NO_FIGURES,
        sentence: () =>
          `${
            shakes
              ? `The feed while cutting, ${say(cuttingFeedMmPerMin, 'speed')}, lies where a stepper shakes: ${range}. ${CALM_MICROSTEPS} microsteps to a step calm it, or a damper on its rear shaft; else cut faster or slower.`
              : `A stepper shakes at ${from} to ${to} full steps a second: here ${range}. The feed while cutting is ${say(cuttingFeedMmPerMin, 'speed')}${calm && `; ${calm}`}.`
          } A full step moves the ${movingPart(t.axis)} ${say(fullStepUm, 'smallLength')}. Microsteps of ${say(microstepUm, 'smallLength')} run smoother but are no accuracy: each adds ${say(torquePerMicrostepNm, 'torque')}.`,
      }
    },
  },
})
