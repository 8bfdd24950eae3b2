import { calculation } from '../../calculation/calculation'
import { number } from '../../calculation/spec'

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
    speedMmPerMin: number('speed of the slide', 'v', 'mm/min', { min: 0 }),
    leadMm: number('lead', 'Ph', 'mm', { over: 0 }),
  },
  outputs: { speedRpm: number('speed of the screw', 'n', 'rpm', {}) },
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
    pitchDiameterMm: number('ball circle or pitch diameter', 'd', 'mm', { over: 0 }),
    speedRpm: number('speed of the screw', 'n', 'rpm', { min: 0 }),
    limit: number("maker's limit", 'limit', 'mm rpm', { over: 0 }),
  },
  outputs: {
    speedValue: number('speed value', 'd n', 'mm rpm', {}),
    use: number('share of the limit', 'use', '1', {}),
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
    staticCapacityN: number('static capacity', 'C0a', 'N', { over: 0 }),
    largestLoadN: number('largest load', 'Fmax', 'N', { over: 0 }),
  },
  outputs: { safety: number('static safety', 's0', '1', {}) },
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
    peakTorqueNm: number('greatest torque of the motor', 'Tm', 'N m', { min: 0 }),
    serviceFactor: number('service factor', 'k', '1', { over: 0 }),
    ratedTorqueNm: number('rated torque', 'Tr', 'N m', { over: 0 }),
  },
  outputs: { use: number('share of the rating', 'use', '1', {}) },
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
    availableTorqueNm: number('torque that the motor gives', 'Ta', 'N m', { min: 0 }),
    requiredTorqueNm: number('torque asked of it', 'Tr', 'N m', { over: 0 }),
  },
  outputs: { margin: number('margin', 'margin', '1', {}) },
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
    loadInertiaKgM2: number('inertia of the load at the motor', 'J', 'kg m2', { min: 0 }),
    rotorInertiaKgM2: number('inertia of the rotor', 'Jr', 'kg m2', { over: 0 }),
  },
  outputs: { ratio: number('inertia ratio', 'J / Jr', '1', {}) },
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
    leadUm: number('lead as it will run', 'lead', 'um', { min: 0 }),
    growthUm: number('growth of the screw', 'growth', 'um', { min: 0 }),
    lostMotionUm: number('lost motion', 'lost motion', 'um', { min: 0 }),
    fullStepUm: number('full step of an open loop', 'full step', 'um', { min: 0 }),
  },
  outputs: { totalUm: number('off at most', 'e', 'um', {}) },
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
    forceN: number('force', 'F', 'N', { min: 0 }),
    pitchDiameterMm: number('pitch diameter', 'dm', 'mm', { over: 0 }),
    leadMm: number('lead', 'Ph', 'mm', { over: 0 }),
    pitchMm: number('pitch of the thread', 'P', 'mm', { over: 0 }),
    nutLengthMm: number('length of the nut', 'L', 'mm', { over: 0 }),
    speedRpm: number('speed of the screw', 'n', 'rpm', { min: 0 }),
  },
  outputs: {
    pressureMpa: number('pressure', 'p', 'MPa', {}),
    slidingMPerMin: number('sliding speed', 'v', 'm/min', {}),
    pressureSpeedMpaMPerMin: number('pressure times speed', 'p v', 'MPa m/min', {}),
  },
  compute({ forceN, pitchDiameterMm, leadMm, pitchMm, nutLengthMm, speedRpm }) {
    const flanksMm2 = Math.PI * pitchDiameterMm * (pitchMm / 2) * (nutLengthMm / pitchMm)
    const pressureMpa = forceN / flanksMm2
    const slidingMPerMin = (speedRpm * Math.hypot(Math.PI * pitchDiameterMm, leadMm)) / 1000
    return { pressureMpa, slidingMPerMin, pressureSpeedMpaMPerMin: pressureMpa * slidingMPerMin }
  },
})
