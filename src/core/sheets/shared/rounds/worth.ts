import { calculation } from '../../../calculation/calculation'
import { radians, STEEL_E_MPA } from '../../../calculation/constants'
import type { Say } from '../../../evaluation/check'
import { angle, force, length, plain, smallLength, stiffness } from '../../../field/field'

/** Second moment of area of a round section in mm4. */
export const roundInertiaMm4 = (diameterMm: number): number => (Math.PI * diameterMm ** 4) / 64

/**
 * The force with which a block off the nut's line pushes the nut to the side.
 *
 * @example sideForce({ offsetUm: 90, distanceMm: 69, rootDiameterMm: 11.1, supportStiffnessNPerUm: 156 }).sideForceN // 125.04
 */
export const sideForce = calculation({
  id: 'align.sideForce',
  title: 'Side force on the nut',
  formula: 'I = pi d^4 / 64; Fs = o / (x^3 / (3 E I) + 1 / k); both parts in mm/N',
  source: 'Beam fixed in the nut, with the give of the support behind it',
  validity: 'Small bends of a straight screw',
  inputs: {
    offsetUm: smallLength('block off the line', {}, { symbol: 'o' }),
    distanceMm: length('from the nut to the block', { min: 0 }, { symbol: 'x' }),
    rootDiameterMm: length('root diameter', { over: 0 }, { symbol: 'd' }),
    supportStiffnessNPerUm: stiffness('stiffness of the support', { over: 0 }, { symbol: 'k' }),
  },
  outputs: { sideForceN: force('side force', {}, { symbol: 'Fs' }) },
  compute: ({ offsetUm, distanceMm, rootDiameterMm, supportStiffnessNPerUm }) => ({
    sideForceN:
      offsetUm /
      1000 /
      (distanceMm ** 3 / (3 * STEEL_E_MPA * roundInertiaMm4(rootDiameterMm)) +
        1 / (1000 * supportStiffnessNPerUm)),
  }),
})

/**
 * What a side force leaves of the nut's life: an estimate.
 *
 * @example lifeShare({ axialForceN: 844, sideForceN: 141, contactAngleDeg: 50 }).lifeShare // 0.1529
 */
export const lifeShare = calculation({
  id: 'align.lifeShare',
  title: 'Share of the life of the nut',
  formula: 'r = 1 + 4.37 Fs / Fa tan(a); share = r^-3',
  source: 'Load of the ball that carries most, after Sjovall and Stribeck; life by the cube of the load',
  validity: 'An estimate: a side force that is small against the load along the axis',
  inputs: {
    axialForceN: force('load along the axis', { over: 0 }, { symbol: 'Fa' }),
    sideForceN: force('side force', { min: 0 }, { symbol: 'Fs' }),
    contactAngleDeg: angle('contact angle of the balls', { over: 0, below: 90 }, { symbol: 'a' }),
  },
  outputs: {
    ballLoadRatio: plain('load of a ball against that without', {}, { symbol: 'r' }),
    lifeShare: plain('share of the life that is left', {}, { symbol: 'share' }),
  },
  compute({ axialForceN, sideForceN, contactAngleDeg }) {
    const ballLoadRatio = 1 + 4.37 * (sideForceN / axialForceN) * Math.tan(radians(contactAngleDeg))
    return { ballLoadRatio, lifeShare: ballLoadRatio ** -3 }
  },
})

/** What is left of a life, as advice says it. @example lifeLeftWords(0.001, say) // 'hardly any' */
export const lifeLeftWords = (lifeShare: number, say: Say): string =>
  lifeShare < 0.01 ? 'hardly any' : `an estimated ${say(lifeShare, 'share', 0)}`
