import { calculation } from '../../calculation/calculation'
import { GRAVITY_M_PER_S2, radians } from '../../calculation/constants'
import { number } from '../../calculation/spec'

const force = (label: string, symbol: string) => number(label, symbol, 'N', {})

/**
 * Forces along an axis in each phase of its motion; "up" is the direction in which it lifts its load.
 *
 * @example axialForces({ massKg: 32.5, inclineDeg: 0, frictionCoefficient: 0.0729, dragN: 10.6,
 *   counterbalanceN: 0, cuttingForceN: 549, accelerationMPerS2: 0.27 }).accelerateUpN // 42.609
 */
export const axialForces = calculation({
  id: 'motion.axialForces',
  title: 'Forces along the axis',
  formula:
    'W = m g sin(i) - Fcb; f = mu m g cos(i) + Fd; up: f + W +/- m a; down: f - W +/- m a; cut: f +/- W + Fc',
  source: 'Equilibrium of the moving mass; Coulomb friction with a constant drag',
  validity: 'Friction does not depend on speed; the load does not tip the carriage',
  inputs: {
    massKg: number('moving mass', 'm', 'kg', { min: 0 }),
    inclineDeg: number('incline of the axis', 'i', 'deg', { min: 0, max: 90 }),
    frictionCoefficient: number('friction of the ways', 'mu', '1', { min: 0, max: 1 }),
    dragN: number('drag of gib, wipers and seals', 'Fd', 'N', { min: 0 }),
    counterbalanceN: number('counterbalance', 'Fcb', 'N', { min: 0 }),
    cuttingForceN: number('cutting force along the axis', 'Fc', 'N', { min: 0 }),
    accelerationMPerS2: number('acceleration', 'a', 'm/s2', { min: 0 }),
  },
  outputs: {
    accelerateUpN: force('speeding up, upward', 'Fau'),
    cruiseUpN: force('steady, upward', 'Fcu'),
    decelerateUpN: force('slowing, upward', 'Fdu'),
    accelerateDownN: force('speeding up, downward', 'Fad'),
    cruiseDownN: force('steady, downward', 'Fcd'),
    decelerateDownN: force('slowing, downward', 'Fdd'),
    cutUpN: force('cutting, upward', 'Fku'),
    cutDownN: force('cutting, downward', 'Fkd'),
    holdN: force('standing still', 'W'),
    frictionN: force('friction', 'f'),
    maxN: force('largest of all but friction', 'Fmax'),
  },
  compute({
    massKg,
    inclineDeg,
    frictionCoefficient,
    dragN,
    counterbalanceN,
    cuttingForceN,
    accelerationMPerS2,
  }) {
    const weightN = massKg * GRAVITY_M_PER_S2
    const holdN = weightN * Math.sin(radians(inclineDeg)) - counterbalanceN
    const frictionN = frictionCoefficient * weightN * Math.cos(radians(inclineDeg)) + dragN
    const inertiaN = massKg * accelerationMPerS2
    const loads = {
      accelerateUpN: frictionN + holdN + inertiaN,
      cruiseUpN: frictionN + holdN,
      decelerateUpN: frictionN + holdN - inertiaN,
      accelerateDownN: frictionN - holdN + inertiaN,
      cruiseDownN: frictionN - holdN,
      decelerateDownN: frictionN - holdN - inertiaN,
      cutUpN: frictionN + holdN + cuttingForceN,
      cutDownN: frictionN - holdN + cuttingForceN,
      holdN,
    }
    return { ...loads, frictionN, maxN: Math.max(...Object.values(loads).map(Math.abs)) }
  },
})

/**
 * Times of a move that speeds up, cruises and slows evenly; a short move never reaches the speed.
 *
 * @example trapezoid({ distanceMm: 99.9, speedMmPerS: 52.4, accelerationMmPerS2: 1920 }).totalS // 1.93378
 */
export const trapezoid = calculation({
  id: 'motion.trapezoid',
  title: 'Time of a move',
  formula: 'vp = min(v, sqrt(s a)); ta = vp / a; tc = (s - vp^2 / a) / vp; t = 2 ta + tc',
  source: 'Uniform acceleration',
  validity: 'Equal acceleration and deceleration, no jerk limit',
  inputs: {
    distanceMm: number('distance', 's', 'mm', { over: 0 }),
    speedMmPerS: number('speed', 'v', 'mm/s', { over: 0 }),
    accelerationMmPerS2: number('acceleration', 'a', 'mm/s2', { over: 0 }),
  },
  outputs: {
    peakSpeedMmPerS: number('speed reached', 'vp', 'mm/s', {}),
    accelerateS: number('time speeding up', 'ta', 's', {}),
    cruiseS: number('time at speed', 'tc', 's', {}),
    totalS: number('time of the move', 't', 's', {}),
  },
  compute({ distanceMm, speedMmPerS, accelerationMmPerS2 }) {
    const peakSpeedMmPerS = Math.min(speedMmPerS, Math.sqrt(distanceMm * accelerationMmPerS2))
    const accelerateS = peakSpeedMmPerS / accelerationMmPerS2
    const cruiseS = Math.max(0, (distanceMm - peakSpeedMmPerS * accelerateS) / peakSpeedMmPerS)
    return { peakSpeedMmPerS, accelerateS, cruiseS, totalS: 2 * accelerateS + cruiseS }
  },
})
