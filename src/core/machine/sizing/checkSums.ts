import { calculation } from '../../calculation/calculation'
import {
  force,
  inertia,
  length,
  plain,
  pressure,
  pressureSpeed,
  rotation,
  smallLength,
  speed,
  torque,
} from '../../field/field'

// The plain sums that some verdicts rest on, so that they open to their working like any other figure.

/**
 * Speed of the screw at a speed of the slide.
 *
 * @example screwSpeed({ speedMmPerMin: 3000, leadMm: 5 }).speedRpm // 600
 */
export const screwSpeed = calculation({
  id: 'screw.speed',
  title: 'Speed of the screw',
  formula: 'n = v / Ph',
  source: 'One turn moves the nut by one lead',
  validity: 'Single nut on a turning screw',
  inputs: {
    speedMmPerMin: speed('speed of the slide', { min: 0 }, { symbol: 'v' }),
    leadMm: length('lead', { over: 0 }, { symbol: 'Ph' }),
  },
  outputs: { speedRpm: rotation('speed of the screw', {}, { symbol: 'n' }) },
  compute: ({ speedMmPerMin, leadMm }) => ({ speedRpm: speedMmPerMin / leadMm }),
})

/**
 * Diameter times speed, by which makers limit how fast a nut may run.
 *
 * @example nutSpeedValue({ pitchDiameterMm: 20.5, speedRpm: 600, limit: 60000 }).speedValue // 12300
 */
export const nutSpeedValue = calculation({
  id: 'nut.speedValue',
  title: 'Speed value of the nut',
  formula: 'd n; use = d n / limit',
  source: "The nut maker's limit",
  validity: 'Ball circle diameter for ball nuts, pitch diameter for sliding ones',
  inputs: {
    pitchDiameterMm: length('ball circle or pitch diameter', { over: 0 }, { symbol: 'd' }),
    speedRpm: rotation('speed of the screw', { min: 0 }, { symbol: 'n' }),
    limit: plain("maker's limit", { over: 0 }, { symbol: 'limit', unit: 'mm rpm' }),
  },
  outputs: {
    speedValue: plain('speed value', {}, { symbol: 'd n', unit: 'mm rpm' }),
    use: plain('share of the limit', {}, { symbol: 'use' }),
  },
  compute: ({ pitchDiameterMm, speedRpm, limit }) => ({
    speedValue: pitchDiameterMm * speedRpm,
    use: (pitchDiameterMm * speedRpm) / limit,
  }),
})

/**
 * How many times the largest load a nut carries at rest.
 *
 * @example nutStaticSafety({ staticCapacityN: 19500, largestLoadN: 975 }).safety // 20
 */
export const nutStaticSafety = calculation({
  id: 'nut.staticSafety',
  title: 'Static safety of the nut',
  formula: 's0 = C0a / Fmax',
  source: 'ISO 3408-5',
  validity: 'Loads without shock; the static capacity of the maker',
  inputs: {
    staticCapacityN: force('static capacity', { over: 0 }, { symbol: 'C0a' }),
    largestLoadN: force('largest load', { over: 0 }, { symbol: 'Fmax' }),
  },
  outputs: { safety: plain('static safety', {}, { symbol: 's0' }) },
  compute: ({ staticCapacityN, largestLoadN }) => ({ safety: staticCapacityN / largestLoadN }),
})

/**
 * How much of a coupler's rated torque a motor can use up.
 *
 * @example couplerTorqueUse({ peakTorqueNm: 2.2, serviceFactor: 2, ratedTorqueNm: 4 }).use // 1.1
 */
export const couplerTorqueUse = calculation({
  id: 'coupler.torqueUse',
  title: 'Use of the coupler',
  formula: 'use = k Tm / Tr',
  source: "The coupler maker's rating and service factor",
  validity: "The motor's greatest torque, as at a stall",
  inputs: {
    peakTorqueNm: torque('greatest torque of the motor', { min: 0 }, { symbol: 'Tm' }),
    serviceFactor: plain('service factor', { over: 0 }, { symbol: 'k' }),
    ratedTorqueNm: torque('rated torque', { over: 0 }, { symbol: 'Tr' }),
  },
  outputs: { use: plain('share of the rating', {}, { symbol: 'use' }) },
  compute: ({ peakTorqueNm, serviceFactor, ratedTorqueNm }) => ({
    use: (peakTorqueNm * serviceFactor) / ratedTorqueNm,
  }),
})

/**
 * How many times the torque asked for a motor gives.
 *
 * @example torqueMarginOf({ availableTorqueNm: 1.76, requiredTorqueNm: 0.88 }).margin // 2
 */
export const torqueMarginOf = calculation({
  id: 'drive.torqueMargin',
  title: 'Torque in hand',
  formula: 'margin = Ta / Tr',
  source: 'Definition',
  validity: 'At the speed of the move where it is least',
  inputs: {
    availableTorqueNm: torque('torque that the motor gives', { min: 0 }, { symbol: 'Ta' }),
    requiredTorqueNm: torque('torque asked of it', { over: 0 }, { symbol: 'Tr' }),
  },
  outputs: { margin: plain('margin', {}, { symbol: 'margin' }) },
  compute: ({ availableTorqueNm, requiredTorqueNm }) => ({ margin: availableTorqueNm / requiredTorqueNm }),
})

/**
 * How many times its own inertia a motor has to move.
 *
 * @example inertiaRatio({ loadInertiaKgM2: 0.00027, rotorInertiaKgM2: 0.000054 }).ratio // 5
 */
export const inertiaRatio = calculation({
  id: 'drive.inertiaRatio',
  title: 'Inertia of the load against the rotor',
  formula: 'J / Jr',
  source: 'Definition',
  validity: 'Load as the motor feels it, through screw and belt',
  inputs: {
    loadInertiaKgM2: inertia('inertia of the load at the motor', { min: 0 }, { symbol: 'J' }),
    rotorInertiaKgM2: inertia('inertia of the rotor', { over: 0 }, { symbol: 'Jr' }),
  },
  outputs: { ratio: plain('inertia ratio', {}, { symbol: 'J / Jr' }) },
  compute: ({ loadInertiaKgM2, rotorInertiaKgM2 }) => ({ ratio: loadInertiaKgM2 / rotorInertiaKgM2 }),
})

/**
 * How far off a place of the slide may be, part by part: one budget against the accuracy wanted.
 *
 * @example positionBudget({ leadUm: 23, growthUm: 37, lostMotionUm: 20, fullStepUm: 25 }).totalUm // 82.5
 */
export const positionBudget = calculation({
  id: 'axis.positionBudget',
  title: 'Position budget',
  formula: 'e = lead + growth + lost motion / 2 + full step / 2',
  source: 'The parts at their worst, added up',
  validity: 'One axis, its ways straight; half of the lost motion lies to each side, and half of a step',
  inputs: {
    leadUm: smallLength('lead as it will run', { min: 0 }, { symbol: 'lead' }),
    growthUm: smallLength('growth of the screw', { min: 0 }, { symbol: 'growth' }),
    lostMotionUm: smallLength('lost motion', { min: 0 }, { symbol: 'lost motion' }),
    fullStepUm: smallLength('full step of an open loop', { min: 0 }, { symbol: 'full step' }),
  },
  outputs: { totalUm: smallLength('off at most', {}, { symbol: 'e' }) },
  compute: ({ leadUm, growthUm, lostMotionUm, fullStepUm }) => ({
    totalUm: leadUm + growthUm + lostMotionUm / 2 + fullStepUm / 2,
  }),
})

/**
 * How hard a sliding nut presses while it slides: bronze wears, and plastic melts, by their product.
 *
 * @example nutPressureSpeed({ forceN: 1000, pitchDiameterMm: 18, leadMm: 4, pitchMm: 4, nutLengthMm: 40,
 *   speedRpm: 250 }).pressureSpeedMpaMPerMin // 12.5313
 */
export const nutPressureSpeed = calculation({
  id: 'nut.pressureSpeed',
  title: 'Pressure times sliding speed of the nut',
  formula: 'p = F / (pi dm (P/2) (L/P)); v = n sqrt((pi dm)^2 + Ph^2) / 1000; p v',
  source: 'Pressure on the flanks of the thread; makers limit its product with the sliding speed',
  validity: 'Trapezoidal thread, all its turns bearing alike',
  inputs: {
    forceN: force('force', { min: 0 }, { symbol: 'F' }),
    pitchDiameterMm: length('pitch diameter', { over: 0 }, { symbol: 'dm' }),
    leadMm: length('lead', { over: 0 }, { symbol: 'Ph' }),
    pitchMm: length('pitch of the thread', { over: 0 }, { symbol: 'P' }),
    nutLengthMm: length('length of the nut', { over: 0 }, { symbol: 'L' }),
    speedRpm: rotation('speed of the screw', { min: 0 }, { symbol: 'n' }),
  },
  outputs: {
    pressureMpa: pressure('pressure', {}, { symbol: 'p' }),
    slidingMPerMin: plain('sliding speed', {}, { symbol: 'v', unit: 'm/min' }),
    pressureSpeedMpaMPerMin: pressureSpeed('pressure times speed', {}, { symbol: 'p v' }),
  },
  compute({ forceN, pitchDiameterMm, leadMm, pitchMm, nutLengthMm, speedRpm }) {
    const flanksMm2 = Math.PI * pitchDiameterMm * (pitchMm / 2) * (nutLengthMm / pitchMm)
    const pressureMpa = forceN / flanksMm2
    const slidingMPerMin = (speedRpm * Math.hypot(Math.PI * pitchDiameterMm, leadMm)) / 1000
    return { pressureMpa, slidingMPerMin, pressureSpeedMpaMPerMin: pressureMpa * slidingMPerMin }
  },
})
