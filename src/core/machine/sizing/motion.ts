import { calculation } from '../../calculation/calculation'
import { GRAVITY_M_PER_S2, radians } from '../../calculation/constants'
import { acceleration, angle, duration, force as forceField, length, mass, plain } from '../../field/field'

const force = (label: string, symbol: string) => forceField(label, {}, { symbol })

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
    massKg: mass('moving mass', { min: 0 }, { symbol: 'm' }),
    inclineDeg: angle('incline of the axis', [0, 90], { symbol: 'i' }),
    frictionCoefficient: plain('friction of the ways', [0, 1], { symbol: 'mu' }),
    dragN: forceField('drag of gib, wipers and seals', { min: 0 }, { symbol: 'Fd' }),
    counterbalanceN: forceField('counterbalance', { min: 0 }, { symbol: 'Fcb' }),
    cuttingForceN: forceField('cutting force along the axis', { min: 0 }, { symbol: 'Fc' }),
    accelerationMPerS2: plain('acceleration', { min: 0 }, { symbol: 'a', unit: 'm/s2' }),
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
    distanceMm: length('distance', { over: 0 }, { symbol: 's' }),
    speedMmPerS: plain('speed', { over: 0 }, { symbol: 'v', unit: 'mm/s' }),
    accelerationMmPerS2: acceleration('acceleration', { over: 0 }, { symbol: 'a' }),
  },
  outputs: {
    peakSpeedMmPerS: plain('speed reached', {}, { symbol: 'vp', unit: 'mm/s' }),
    accelerateS: duration('time speeding up', {}, { symbol: 'ta' }),
    cruiseS: duration('time at speed', {}, { symbol: 'tc' }),
    totalS: duration('time of the move', {}, { symbol: 't' }),
  },
  compute({ distanceMm, speedMmPerS, accelerationMmPerS2 }) {
    const peakSpeedMmPerS = Math.min(speedMmPerS, Math.sqrt(distanceMm * accelerationMmPerS2))
    const accelerateS = peakSpeedMmPerS / accelerationMmPerS2
    const cruiseS = Math.max(0, (distanceMm - peakSpeedMmPerS * accelerateS) / peakSpeedMmPerS)
    return { peakSpeedMmPerS, accelerateS, cruiseS, totalS: 2 * accelerateS + cruiseS }
  },
})
