import { calculation } from '../../calculation/calculation'
import { degrees, radians } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { angle, length, plain, smallLength, torque } from '../../field/field'
import { fullStepsPerRev, holdingTorqueNm } from './motor'

const leadMm = length('lead', { over: 0 }, { symbol: 'Ph' })
const ratio = plain('motor turns per screw turn', { over: 0 }, { symbol: 'r' })

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
    frictionTorqueNm: torque('friction torque at the motor', { min: 0 }, { symbol: 'Tf' }),
    holdingTorqueNm,
    fullStepsPerRev,
    leadMm,
    ratio,
  },
  outputs: {
    lagDeg: angle('lag of the motor', {}, { symbol: 'lag' }),
    reversalUm: smallLength('lost on a reversal at the slide', {}, { symbol: 's' }),
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
    microsteps: plain('microsteps to a step', { min: 1 }, { symbol: 'm', whole: true }),
    ratio,
    holdingTorqueNm,
  },
  outputs: {
    fullStepUm: smallLength('a full step at the slide', {}, { symbol: 'full' }),
    microstepUm: smallLength('a microstep at the slide', {}, { symbol: 'micro' }),
    torquePerMicrostepNm: torque('torque that a microstep adds', {}, { symbol: 'T' }),
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
