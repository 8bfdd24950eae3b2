import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { angle, choice, force, hours, plain, rotation } from '../../field/field'

/** Factors of ISO 281 by contact angle: e, then X and Y of a single bearing and of a pair, below and above e. */
const FACTORS: Record<number, Factors> = {
  25: { e: 0.68, single: [0.41, 0.87], pairBelow: [1, 0.92], pairAbove: [0.67, 1.41] },
  30: { e: 0.8, single: [0.39, 0.76], pairBelow: [1, 0.78], pairAbove: [0.63, 1.24] },
  40: { e: 1.14, single: [0.35, 0.57], pairBelow: [1, 0.55], pairAbove: [0.57, 0.93] },
}
type XY = [x: number, y: number]
interface Factors {
  e: number
  single: XY
  pairBelow: XY
  pairAbove: XY
}
/** Contact angles that the factors are tabled for. */
export const TABLED_ANGLES_DEG = Object.keys(FACTORS).map(Number)

const dynamicCapacityN = force('dynamic capacity', { over: 0 }, { symbol: 'C' })
const axialLoadN = force('axial load', { min: 0 }, { symbol: 'Fa' })
const meanSpeedRpm = rotation('mean speed', { over: 0 }, { symbol: 'n' })
const life = {
  lifeRevolutions: plain('life', {}, { symbol: 'L' }),
  lifeHours: hours('life', {}, { symbol: 'Lh' }),
}

/** @throws InputError when there is no load at all */
function needsLoad(radialLoadN: number, axialLoadN: number) {
  if (radialLoadN === 0 && axialLoadN === 0)
    throw new InputError('axialLoadN', axialLoadN, 'a number over 0 N where there is no radial load either')
}

const livesFor = (dynamicCapacityN: number, equivalentLoadN: number, meanSpeedRpm: number) => {
  const lifeRevolutions = (dynamicCapacityN / equivalentLoadN) ** 3 * 1e6
  return { lifeRevolutions, lifeHours: lifeRevolutions / (60 * meanSpeedRpm) }
}

/**
 * Life of the bearings that carry the thrust, with the pull of a belt beside it.
 *
 * @throws InputError for a contact angle without tabled factors, or when there is no load at all
 * @example bearingLife({ dynamicCapacityN: 6306, contactAngleDeg: 40, arrangement: 'back-to-back',
 *   radialLoadN: 447, axialLoadN: 1223, meanSpeedRpm: 846 }).lifeHours // 1830.86
 */
export const bearingLife = calculation({
  id: 'bearing.life',
  title: 'Life of the bearings',
  formula:
    'P = X Fr + Y Fa, X and Y by contact angle and by Fa / Fr against e; L = (C / P)^3 10^6; Lh = L / (60 n)',
  source: 'ISO 281',
  validity: 'Angular contact at 25, 30 or 40 degrees; 90 % reach it, clean and greased',
  inputs: {
    dynamicCapacityN,
    contactAngleDeg: angle('contact angle', {}, { symbol: 'a', oneOf: TABLED_ANGLES_DEG }),
    arrangement: choice('arrangement', ['single', 'back-to-back', 'face-to-face'] as const),
    radialLoadN: force('radial load', { min: 0 }, { symbol: 'Fr' }),
    axialLoadN,
    meanSpeedRpm,
  },
  outputs: { equivalentLoadN: force('equivalent load', {}, { symbol: 'P' }), ...life },
  compute({ dynamicCapacityN, contactAngleDeg, arrangement, radialLoadN, axialLoadN, meanSpeedRpm }) {
    const factors = FACTORS[contactAngleDeg] as Factors
    needsLoad(radialLoadN, axialLoadN)
    const above = axialLoadN > factors.e * radialLoadN
    const below: XY = arrangement === 'single' ? [1, 0] : factors.pairBelow
    const [x, y] = above ? (arrangement === 'single' ? factors.single : factors.pairAbove) : below
    const equivalentLoadN = x * radialLoadN + y * axialLoadN
    return { equivalentLoadN, ...livesFor(dynamicCapacityN, equivalentLoadN, meanSpeedRpm) }
  },
})

/**
 * Life of bearings whose sheet gives their capacity along the shaft, such as screw-support bearings at 60 degrees.
 *
 * @example bearingAxialLife({ dynamicCapacityN: 22000, axialLoadN: 1100, meanSpeedRpm: 500 }).lifeHours // 266667
 */
export const bearingAxialLife = calculation({
  id: 'bearing.axialLife',
  title: 'Life of thrust bearings',
  formula: 'L = (Ca / Fa)^3 10^6; Lh = L / (60 n)',
  source: 'ISO 281, with the capacity that the maker gives for thrust',
  validity: 'Thrust only: no belt pulls sideways on the screw',
  inputs: {
    dynamicCapacityN: { ...dynamicCapacityN, label: 'dynamic capacity along the shaft', symbol: 'Ca' },
    axialLoadN: { ...axialLoadN, over: 0 },
    meanSpeedRpm,
  },
  outputs: life,
  compute: ({ dynamicCapacityN, axialLoadN, meanSpeedRpm }) =>
    livesFor(dynamicCapacityN, axialLoadN, meanSpeedRpm),
})

/** Factors of ISO 281 for one deep-groove bearing: e and Y over f0 Fa / C0, straight between, flat beyond. */
const GROOVE_FACTORS: readonly (readonly [share: number, e: number, y: number])[] = [
  [0.172, 0.19, 2.3],
  [0.345, 0.22, 1.99],
  [0.689, 0.26, 1.71],
  [1.03, 0.28, 1.55],
  [1.38, 0.3, 1.45],
  [2.07, 0.34, 1.31],
  [3.45, 0.38, 1.15],
  [5.17, 0.42, 1.04],
  [6.89, 0.44, 1],
]
/** What a sideways load counts beside thrust. */
const GROOVE_X = 0.56

function grooveFactors(share: number): { e: number; y: number } {
  const after = GROOVE_FACTORS.findIndex(([at]) => at >= share)
  const [highAt, highE, highY] = GROOVE_FACTORS.at(after) as (typeof GROOVE_FACTORS)[number]
  const low = GROOVE_FACTORS[after - 1]
  if (!low) return { e: highE, y: highY }
  const [lowAt, lowE, lowY] = low
  const part = (share - lowAt) / (highAt - lowAt)
  return { e: lowE + part * (highE - lowE), y: lowY + part * (highY - lowY) }
}

/**
 * Life of a deep-groove bearing that carries thrust, as the one of two that the thrust goes through does.
 *
 * @throws InputError when there is no load at all
 * @example grooveLife({ dynamicCapacityN: 7762, staticCapacityN: 9207, f0: 13, radialLoadN: 23, axialLoadN: 655,
 *   meanSpeedRpm: 560 }).lifeHours // 11671.1
 */
export const grooveLife = calculation({
  id: 'bearing.grooveLife',
  title: 'Life of deep-groove bearings',
  formula:
    'P = Fr while Fa is at most e Fr, else 0.56 Fr + Y Fa, e and Y by f0 Fa / C0; L = (C / P)^3 10^6; Lh = L / (60 n)',
  source: 'ISO 281',
  validity: 'One bearing takes the thrust; normal clearance; 90 % reach it, clean and greased',
  inputs: {
    dynamicCapacityN,
    staticCapacityN: force('static capacity', { over: 0 }, { symbol: 'C0' }),
    f0: plain('factor f0 of its sheet', { over: 0 }, { symbol: 'f0' }),
    radialLoadN: force('radial load', { min: 0 }, { symbol: 'Fr' }),
    axialLoadN,
    meanSpeedRpm,
  },
  outputs: { equivalentLoadN: force('equivalent load', {}, { symbol: 'P' }), ...life },
  compute({ dynamicCapacityN, staticCapacityN, f0, radialLoadN, axialLoadN, meanSpeedRpm }) {
    needsLoad(radialLoadN, axialLoadN)
    const { e, y } = grooveFactors((f0 * axialLoadN) / staticCapacityN)
    const equivalentLoadN =
      axialLoadN <= e * radialLoadN ? radialLoadN : GROOVE_X * radialLoadN + y * axialLoadN
    return { equivalentLoadN, ...livesFor(dynamicCapacityN, equivalentLoadN, meanSpeedRpm) }
  },
})
