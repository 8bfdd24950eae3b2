import { calculation } from '../../calculation/calculation'
import { radians } from '../../calculation/constants'
import { angle, force, length, plain, smallLength, stiffness } from '../../field/field'
import { shareOfPair } from './screwLife'

/**
 * How a preloaded bearing pair shares an outside load.
 *
 * @example bearingPairShare({ preloadN: 586, externalN: 1639 }).loadedN // 1643.63
 */
export const bearingPairShare = calculation({
  id: 'bearing.pairShare',
  title: 'Load shared by a preloaded pair',
  formula: 'Fa = Fpr (1 + F / (2^1.5 Fpr))^1.5, Fb = Fa - F until F = 2^1.5 Fpr; then F and 0',
  source: 'Hertzian contact of two equal halves',
  validity: 'Two equal bearings, or nut halves, preloaded against each other',
  inputs: {
    preloadN: force('preload', { over: 0 }, { symbol: 'Fpr' }),
    externalN: force('outside load', { min: 0 }, { symbol: 'F' }),
  },
  outputs: {
    loadedN: force('load on the pressed one', {}, { symbol: 'Fa' }),
    relievedN: force('load left on the other', {}, { symbol: 'Fb' }),
    unloadingForceN: force('load that opens the pair', {}, { symbol: '2^1.5 Fpr' }),
  },
  compute({ preloadN, externalN }) {
    return shareOfPair(preloadN, externalN)
  },
})

/**
 * How stiff a preloaded pair of angular contact bearings is along the screw.
 *
 * @example bearingPairStiffness({ ballCount: 9, ballDiameterMm: 4.763, contactAngleDeg: 60, preloadN: 1987 }).stiffnessNPerUm // 495.496
 */
export const bearingPairStiffness = calculation({
  id: 'bearing.pairStiffness',
  title: 'Stiffness of the bearing pair',
  formula: 'Q = Fpr / (Z sin(a)); delta = 0.000436 / sin(a) (Q^2 / Dw)^(1/3) mm; k = 3 Fpr / delta',
  source: 'Palmgren',
  validity: 'Steel balls, a pair preloaded back-to-back or face-to-face',
  inputs: {
    ballCount: plain('balls in one bearing', { min: 3 }, { symbol: 'Z', whole: true }),
    ballDiameterMm: length('ball diameter', { over: 0 }, { symbol: 'Dw' }),
    contactAngleDeg: angle('contact angle', { over: 0, max: 90 }, { symbol: 'a' }),
    preloadN: force('preload', { over: 0 }, { symbol: 'Fpr' }),
  },
  outputs: {
    deflectionUm: smallLength('deflection under the preload', {}, { symbol: 'delta' }),
    stiffnessNPerUm: stiffness('stiffness', {}, { symbol: 'k' }),
  },
  compute({ ballCount, ballDiameterMm, contactAngleDeg, preloadN }) {
    const sine = Math.sin(radians(contactAngleDeg))
    const ballLoadN = preloadN / (ballCount * sine)
    const deflectionUm = (0.436 / sine) * Math.cbrt(ballLoadN ** 2 / ballDiameterMm)
    return { deflectionUm, stiffnessNPerUm: (3 * preloadN) / deflectionUm }
  },
})
