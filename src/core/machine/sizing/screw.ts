import { calculation } from '../../calculation/calculation'
import {
  GRAVITY_M_PER_S2,
  roundAreaMm2,
  STEEL_DENSITY_KG_PER_M3,
  STEEL_E_MPA,
  STEEL_G_MPA,
} from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { choice, force, length, plain, pressure, rotation, smallLength, stiffness } from '../../field/field'

export const SCREW_ENDS = ['fixed-free', 'supported-supported', 'fixed-supported', 'fixed-fixed'] as const
export type ScrewEnds = (typeof SCREW_ENDS)[number]

/** First root of the frequency equation of a slender beam held so. */
const FREQUENCY_ROOT: Record<ScrewEnds, number> = {
  'fixed-free': 1.875104,
  'supported-supported': Math.PI,
  'fixed-supported': 3.926602,
  'fixed-fixed': 4.730041,
}
/** How many times the load of a strut with two hinged ends. */
const BUCKLING_FACTOR: Record<ScrewEnds, number> = {
  'fixed-free': 0.25,
  'supported-supported': 1,
  'fixed-supported': 2.046,
  'fixed-fixed': 4,
}

const rootDiameterMm = length('root diameter', { over: 0 }, { symbol: 'dr' })
const freeLengthMm = length('longest stretch without support', { over: 0 }, { symbol: 'L' })
const ends = choice('how the two ends are held', SCREW_ENDS)

/**
 * The speed at which a turning screw whips.
 *
 * @example criticalSpeed({ rootDiameterMm: 31.01, freeLengthMm: 847.3, ends: 'fixed-fixed' }).criticalSpeedRpm // 11818.6
 */
export const criticalSpeed = calculation({
  id: 'screw.criticalSpeed',
  title: 'Critical speed of the screw',
  formula: 'n = 60 lambda^2 / (2 pi L^2) sqrt(E I / (rho A)); allowable = 0.8 n',
  source: 'Bending vibration of a slender beam (Euler-Bernoulli)',
  validity: 'Slender steel screw; the free length is taken with the nut where it is worst',
  inputs: { rootDiameterMm, freeLengthMm, ends },
  outputs: {
    criticalSpeedRpm: rotation('critical speed', {}, { symbol: 'n' }),
    allowableSpeedRpm: rotation('allowable speed', {}, { symbol: 'n_allow' }),
  },
  compute({ rootDiameterMm, freeLengthMm, ends }) {
    // sqrt(E I / (rho A)) = (d / 4) sqrt(E / rho), in metres
    const waveM2PerS = (rootDiameterMm / 4000) * Math.sqrt((STEEL_E_MPA * 1e6) / STEEL_DENSITY_KG_PER_M3)
    const criticalSpeedRpm =
      ((60 * FREQUENCY_ROOT[ends] ** 2) / (2 * Math.PI * (freeLengthMm / 1000) ** 2)) * waveM2PerS
    return { criticalSpeedRpm, allowableSpeedRpm: 0.8 * criticalSpeedRpm }
  },
})

/**
 * The push at which a screw bends out sideways: Euler for a slender one, Johnson for a short one.
 *
 * @example buckling({ rootDiameterMm: 17.95, freeLengthMm: 1619.5, ends: 'fixed-fixed', yieldMpa: 350 }).allowableLoadN // 7900.65
 */
export const buckling = calculation({
  id: 'screw.buckling',
  title: 'Buckling load of the screw',
  formula:
    's = (L / sqrt(N)) / (dr / 4); s >= sqrt(2 pi^2 E / Re): F = pi^2 E A / s^2; else F = A Re (1 - Re s^2 / (4 pi^2 E)); allowable = F / S',
  source: 'Euler column; J. B. Johnson parabola below the transition slenderness',
  validity: 'Straight steel screw loaded along its axis',
  inputs: {
    rootDiameterMm,
    freeLengthMm,
    ends,
    safetyFactor: plain('safety factor', { min: 1 }, { symbol: 'S', default: 2 }),
    yieldMpa: pressure('yield strength', { over: 0 }, { symbol: 'Re', default: 400 }),
  },
  outputs: {
    bucklingLoadN: force('buckling load', {}, { symbol: 'F' }),
    allowableLoadN: force('allowable load', {}, { symbol: 'F_allow' }),
    slenderness: plain('slenderness', {}, { symbol: 's' }),
    regime: choice('formula that applies', ['euler', 'johnson'] as const),
  },
  compute({ rootDiameterMm, freeLengthMm, ends, safetyFactor = 2, yieldMpa = 400 }) {
    const areaMm2 = roundAreaMm2(rootDiameterMm)
    const slenderness = freeLengthMm / Math.sqrt(BUCKLING_FACTOR[ends]) / (rootDiameterMm / 4)
    const eulerStressMpa = (Math.PI ** 2 * STEEL_E_MPA) / slenderness ** 2
    const regime = slenderness >= Math.sqrt((2 * Math.PI ** 2 * STEEL_E_MPA) / yieldMpa) ? 'euler' : 'johnson'
    const stressMpa = regime === 'euler' ? eulerStressMpa : yieldMpa * (1 - yieldMpa / (4 * eulerStressMpa))
    const bucklingLoadN = areaMm2 * stressMpa
    return { bucklingLoadN, allowableLoadN: bucklingLoadN / safetyFactor, slenderness, regime }
  },
})

/**
 * How stiff the screw is along its axis at a place.
 *
 * @throws InputError when the place is not between the supports of a screw held at both ends
 * @example screwAxialStiffness({ rootDiameterMm: 29, supportedLengthMm: 1600, distanceMm: 1030.4, axialSupport: 'both-ends' }).stiffnessNPerUm // 370.93
 */
export const screwAxialStiffness = calculation({
  id: 'screw.axialStiffness',
  title: 'Stiffness of the screw along its axis',
  formula: 'one end: E A / x; both ends: E A L / (x (L - x))',
  source: "Hooke's law for a bar",
  validity: 'x is measured from the fixed end; both ends: x between the two',
  inputs: {
    rootDiameterMm,
    supportedLengthMm: length('length between the end bearings', { over: 0 }, { symbol: 'L' }),
    distanceMm: length('distance from the fixed bearing', { over: 0 }, { symbol: 'x' }),
    axialSupport: choice('ends that take thrust', ['one-end', 'both-ends'] as const),
  },
  outputs: { stiffnessNPerUm: stiffness('stiffness', {}, { symbol: 'k' }) },
  compute({ rootDiameterMm, supportedLengthMm, distanceMm, axialSupport }) {
    if (distanceMm > supportedLengthMm || (axialSupport === 'both-ends' && distanceMm === supportedLengthMm))
      throw new InputError('distanceMm', distanceMm, `a number over 0 and within ${supportedLengthMm} mm`)
    const restMm = axialSupport === 'both-ends' ? supportedLengthMm / (supportedLengthMm - distanceMm) : 1
    const stiffnessNPerMm = ((STEEL_E_MPA * roundAreaMm2(rootDiameterMm)) / distanceMm) * restMm
    return { stiffnessNPerUm: stiffnessNPerMm / 1000 }
  },
})

/**
 * How stiff a screw is in torsion over a length, at its root.
 *
 * @example screwTorsionNmPerRad(17.1, 500) // 1331.34
 */
export const screwTorsionNmPerRad = (rootDiameterMm: number, lengthMm: number): number =>
  (STEEL_G_MPA * Math.PI * rootDiameterMm ** 4) / (32 * lengthMm * 1000)

/** The shape that a beam takes under its own weight, times w/(E I), with its fixed end at 0. */
const SAG: Record<ScrewEnds, (x: number, l: number) => number> = {
  'supported-supported': (x, l) => (x * (l ** 3 - 2 * l * x ** 2 + x ** 3)) / 24,
  'fixed-fixed': (x, l) => (x ** 2 * (l - x) ** 2) / 24,
  'fixed-supported': (x, l) => (x ** 2 * (3 * l ** 2 - 5 * l * x + 2 * x ** 2)) / 48,
  'fixed-free': (x, l) => (x ** 2 * (6 * l ** 2 - 4 * l * x + x ** 2)) / 24,
}

/**
 * How far a level screw hangs down by its own weight at a place of a stretch between two holds.
 *
 * @throws InputError when the place is not on the stretch
 * @example screwSag({ rootDiameterMm: 28.1, lengthMm: 571, ends: 'fixed-supported', positionMm: 81.7 }).sagUm // 0.798414
 */
export const screwSag = calculation({
  id: 'screw.sag',
  title: 'Sag of the screw by its own weight',
  formula:
    's = w/(E I) times: supported-supported: x (L^3 - 2 L x^2 + x^3)/24; fixed-fixed: x^2 (L - x)^2/24; fixed-supported: x^2 (3 L^2 - 5 L x + 2 x^2)/48; fixed-free: x^2 (6 L^2 - 4 L x + x^2)/24',
  source: 'Bending of a beam under an even load (Euler-Bernoulli)',
  validity: 'A level steel screw at its root diameter; fixed end at 0',
  inputs: {
    rootDiameterMm,
    lengthMm: length('length of the stretch', { over: 0 }, { symbol: 'L' }),
    ends,
    positionMm: length('place on it, from the fixed end', { min: 0 }, { symbol: 'x' }),
  },
  outputs: { sagUm: smallLength('sag', {}, { symbol: 's' }) },
  compute({ rootDiameterMm, lengthMm, ends, positionMm }) {
    if (positionMm > lengthMm)
      throw new InputError('positionMm', positionMm, `a number from 0 up to ${lengthMm} mm, the stretch`)
    // w / (E I) = 16 rho g / (E d^2), in metres.
    const perM3 =
      (16 * STEEL_DENSITY_KG_PER_M3 * GRAVITY_M_PER_S2) / (STEEL_E_MPA * 1e6 * (rootDiameterMm / 1000) ** 2)
    return { sagUm: perM3 * SAG[ends](positionMm / 1000, lengthMm / 1000) * 1e6 }
  },
})
