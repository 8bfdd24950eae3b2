import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { force, frequency, length, plain, torque } from '../../field/field'

const pitchMm = length('pitch of the belt', { over: 0 }, { symbol: 'p' })
const teethSmall = plain('teeth of the small pulley', { min: 6 }, { symbol: 'z1', whole: true })
const teethLarge = plain('teeth of the large pulley', { min: 6 }, { symbol: 'z2', whole: true })
const centreDistanceMm = length('distance of the centres', { over: 0 }, { symbol: 'C' })

interface Pulleys {
  pitchMm: number
  teethSmall: number
  teethLarge: number
}

const pitchDiameters = ({ pitchMm, teethSmall, teethLarge }: Pulleys) => {
  if (teethLarge < teethSmall)
    throw new InputError('teethLarge', teethLarge, `a whole number from ${teethSmall}, the small pulley's`)
  return { smallMm: (pitchMm * teethSmall) / Math.PI, largeMm: (pitchMm * teethLarge) / Math.PI }
}

/** The belt round two pulleys of these pitch diameters, at a distance of their centres. */
function loop(smallMm: number, largeMm: number, centresMm: number) {
  const slope = Math.asin((largeMm - smallMm) / (2 * centresMm))
  const spanMm = centresMm * Math.cos(slope)
  return {
    slope,
    spanMm,
    lengthMm: 2 * spanMm + (Math.PI / 2) * (largeMm + smallMm) + slope * (largeMm - smallMm),
  }
}

/**
 * Length of a belt round two pulleys, exact with the wrap of each.
 *
 * @throws InputError when the pulleys would touch, or the large one has fewer teeth than the small one
 * @example beltLength({ pitchMm: 3, teethSmall: 20, teethLarge: 24, centreDistanceMm: 176.4 }).lengthMm // 418.821
 */
export const beltLength = calculation({
  id: 'belt.length',
  title: 'Length of the belt',
  formula:
    'd = p z / pi; sin(a) = (d2 - d1) / (2 C); s = C cos(a); L = 2 s + pi (d1 + d2) / 2 + a (d2 - d1); teeth = L / p; mesh = z1 (1/2 - a / pi)',
  source: 'Geometry of an open belt on its pitch circles',
  validity: 'Two pulleys, no idler; the belt lies on its pitch line',
  inputs: { pitchMm, teethSmall, teethLarge, centreDistanceMm },
  outputs: {
    lengthMm: length('length of the belt', {}, { symbol: 'L' }),
    beltTeeth: plain('teeth of the belt', {}, { symbol: 'teeth' }),
    spanMm: length('free span', {}, { symbol: 's' }),
    teethInMesh: plain('teeth in mesh on the small pulley', {}, { symbol: 'mesh' }),
  },
  compute(inputs) {
    const { smallMm, largeMm } = pitchDiameters(inputs)
    const touchMm = (smallMm + largeMm) / 2
    if (inputs.centreDistanceMm <= touchMm)
      throw new InputError(
        'centreDistanceMm',
        inputs.centreDistanceMm,
        `a number over ${touchMm.toFixed(2)} mm, where the pulleys touch`,
      )
    const { slope, spanMm, lengthMm } = loop(smallMm, largeMm, inputs.centreDistanceMm)
    return {
      lengthMm,
      beltTeeth: lengthMm / inputs.pitchMm,
      spanMm,
      teethInMesh: inputs.teethSmall * (0.5 - slope / Math.PI),
    }
  },
})

/**
 * Distance of the centres at which a belt of whole teeth is just straight: the length formula turned round.
 *
 * @throws InputError when the belt is too short to go round pulleys that do not touch
 * @example beltCentres({ pitchMm: 3, teethSmall: 24, teethLarge: 40, beltTeeth: 150 }).centreDistanceMm // 176.835
 */
export const beltCentres = calculation({
  id: 'belt.centres',
  title: 'Centres for a belt',
  formula: 'the C at which L(C) = p teeth',
  source: 'The length formula, solved by bisection',
  validity: 'Two pulleys, no idler; leave a slot of a few millimetres for tension',
  inputs: {
    pitchMm,
    teethSmall,
    teethLarge,
    beltTeeth: plain('teeth of the belt', { min: 10 }, { symbol: 'teeth', whole: true }),
  },
  outputs: { centreDistanceMm },
  compute(inputs) {
    const { smallMm, largeMm } = pitchDiameters(inputs)
    const wantedMm = inputs.pitchMm * inputs.beltTeeth
    let low = (smallMm + largeMm) / 2
    const shortestMm = loop(smallMm, largeMm, low).lengthMm
    if (wantedMm <= shortestMm)
      throw new InputError(
        'beltTeeth',
        inputs.beltTeeth,
        `a whole number over ${Math.floor(shortestMm / inputs.pitchMm)}: shorter belts do not go round both pulleys`,
      )
    let high = wantedMm / 2
    while (high - low > 1e-12 * high) {
      const middle = (low + high) / 2
      if (middle === low || middle === high) break
      if (loop(smallMm, largeMm, middle).lengthMm < wantedMm) low = middle
      else high = middle
    }
    return { centreDistanceMm: (low + high) / 2 }
  },
})

/**
 * Tension of a belt, what it does to the bearings, and the note of its span when plucked.
 *
 * @example beltTension({ torqueNm: 0.61, teethSmall: 24, pitchMm: 5, spanMm: 101.7, massPerLengthKgPerM: 0.022,
 *   tensionFactor: 1.2 }).spanFrequencyHz // 145.103
 */
export const beltTension = calculation({
  id: 'belt.tension',
  title: 'Tension of the belt',
  formula: 'd = p z1 / pi; Fu = 2000 T / d; F1 = k Fu / 2; shaft = 2 F1; f = 1000 sqrt(F1 / m) / (2 s)',
  source: 'Equilibrium of the pulley; transverse vibration of a string',
  validity: 'At rest, both strands alike; the slack strand stays taut for a factor of 1 or more',
  inputs: {
    torqueNm: torque('torque on the small pulley', { over: 0 }, { symbol: 'T' }),
    teethSmall,
    pitchMm,
    spanMm: length('free span', { over: 0 }, { symbol: 's' }),
    massPerLengthKgPerM: plain('mass of the belt per metre', { over: 0 }, { symbol: 'm', unit: 'kg/m' }),
    tensionFactor: plain('tension factor', { over: 0 }, { symbol: 'k', default: 1 }),
  },
  outputs: {
    effectivePullN: force('pull that the torque needs', {}, { symbol: 'Fu' }),
    strandTensionN: force('tension of each strand at rest', {}, { symbol: 'F1' }),
    shaftLoadN: force('load on the shafts', {}, { symbol: 'shaft' }),
    spanFrequencyHz: frequency('note of the span', {}, { symbol: 'f' }),
  },
  compute({ torqueNm, teethSmall, pitchMm, spanMm, massPerLengthKgPerM, tensionFactor = 1 }) {
    const effectivePullN = (2000 * torqueNm * Math.PI) / (pitchMm * teethSmall)
    const strandTensionN = (tensionFactor * effectivePullN) / 2
    return {
      effectivePullN,
      strandTensionN,
      shaftLoadN: 2 * strandTensionN,
      spanFrequencyHz: Math.sqrt(strandTensionN / massPerLengthKgPerM) / (2 * (spanMm / 1000)),
    }
  },
})

/**
 * Torsional stiffness of a tensioned belt, felt at the screw with the motor held.
 *
 * @example beltStiffness({ cordStiffnessN: 175000, spanMm: 120, pitchMm: 5, teethScrew: 36 }).torsionalStiffnessNmPerRad // 2394.1
 */
export const beltStiffness = calculation({
  id: 'belt.stiffness',
  title: 'Stiffness of the belt',
  formula: 'R = p z / (2 pi); k = 2 (EA) R^2 / (1000 s)',
  source: "Hooke's law; both strands act while neither is slack",
  validity: 'A belt under tension; the teeth in mesh are taken as rigid',
  inputs: {
    cordStiffnessN: force('tensile stiffness of the cords', { over: 0 }, { symbol: 'EA' }),
    spanMm: length('free span', { over: 0 }, { symbol: 's' }),
    pitchMm,
    teethScrew: plain('teeth of the pulley on the screw', { min: 6 }, { symbol: 'z', whole: true }),
  },
  outputs: {
    torsionalStiffnessNmPerRad: plain('stiffness at the screw', {}, { symbol: 'k', unit: 'N m/rad' }),
  },
  compute({ cordStiffnessN, spanMm, pitchMm, teethScrew }) {
    const radiusMm = (pitchMm * teethScrew) / (2 * Math.PI)
    return { torsionalStiffnessNmPerRad: ((2 * cordStiffnessN) / spanMm) * (radiusMm ** 2 / 1000) }
  },
})
