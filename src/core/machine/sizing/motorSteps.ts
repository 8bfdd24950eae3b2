import { calculation } from '../../calculation/calculation'
import { degrees, radians } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { number } from '../../calculation/spec'
import { fullStepsPerRev, holdingTorqueNm } from './motor'

const leadMm = number('lead', 'Ph', 'mm', { over: 0 })
const ratio = number('motor turns per screw turn', 'r', '1', { over: 0 })

/**
 * How far an open-loop stepper lags behind its command under friction, and what a reversal loses by it.
 *
 * @throws InputError when friction is more than the motor can hold
 * @example frictionLag({ frictionTorqueNm: 0.24, holdingTorqueNm: 2.92, fullStepsPerRev: 400, leadMm: 5, ratio: 2 }).reversalUm // 0.6548
 */
export const frictionLag = calculation({
  id: 'motor.frictionLag',
  title: 'Lag of a stepper under friction',
  formula: 'lag = asin(Tf / Th) / (z / 4); both ways at the slide: 2000 lag Ph / (360 r)',
  source: 'Sinusoidal torque over the step angle',
  validity: 'Open loop; a closed loop takes the lag out',
  inputs: {
    frictionTorqueNm: number('friction torque at the motor', 'Tf', 'N m', { min: 0 }),
    holdingTorqueNm,
    fullStepsPerRev,
    leadMm,
    ratio,
  },
  outputs: {
    lagDeg: number('lag of the motor', 'lag', 'deg', {}),
    reversalUm: number('lost on a reversal at the slide', 's', 'um', {}),
  },
  compute({ frictionTorqueNm, holdingTorqueNm, fullStepsPerRev, leadMm, ratio }) {
    if (frictionTorqueNm > holdingTorqueNm)
      throw new InputError(
        'frictionTorqueNm',
        frictionTorqueNm,
        `up to the holding torque, ${holdingTorqueNm} N m`,
      )
    const lag = Math.asin(frictionTorqueNm / holdingTorqueNm) / (fullStepsPerRev / 4)
    return { lagDeg: degrees(lag), reversalUm: ((lag * leadMm) / (Math.PI * ratio)) * 1000 }
  },
})

/**
 * How far a step and a microstep move the table, and the torque that a microstep adds.
 *
 * @example stepResolution({ leadMm: 5, fullStepsPerRev: 200, microsteps: 4, ratio: 1, holdingTorqueNm: 3.01 }).fullStepUm // 25
 */
export const stepResolution = calculation({
  id: 'motor.stepResolution',
  title: 'Size of a step',
  formula: 'full = 1000 Ph / (z r); micro = full / m; T = Th sin(90 deg / m)',
  source: 'Geometry; sinusoidal torque over the step angle',
  validity: 'Fine steps are not accuracy: a microstep moves nothing until its torque beats the friction',
  inputs: {
    leadMm,
    fullStepsPerRev,
    microsteps: number('microsteps to a step', 'm', '1', { min: 1, integer: true }),
    ratio,
    holdingTorqueNm,
  },
  outputs: {
    fullStepUm: number('a full step at the slide', 'full', 'um', {}),
    microstepUm: number('a microstep at the slide', 'micro', 'um', {}),
    torquePerMicrostepNm: number('torque that a microstep adds', 'T', 'N m', {}),
  },
  compute({ leadMm, fullStepsPerRev, microsteps, ratio, holdingTorqueNm }) {
    const fullStepUm = (leadMm * 1000) / (fullStepsPerRev * ratio)
    return {
      fullStepUm,
      microstepUm: fullStepUm / microsteps,
      torquePerMicrostepNm: holdingTorqueNm * Math.sin(radians(90 / microsteps)),
    }
  },
})
