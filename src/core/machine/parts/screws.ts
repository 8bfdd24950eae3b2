import type { BarePart } from '../../document/parts/types'

/** What sets one thread apart from another; every thread is sold with several nuts. */
type BallThread = [
  nominalDiameterMm: number,
  leadMm: number,
  rootDiameterMm: number,
  dynamicCapacityN: number,
  staticCapacityN: number,
  ratedStiffnessNPerUm: number,
  nutBodyLengthMm: number,
  nutBodyDiameterMm: number,
  nutFlangeDiameterMm: number,
  priceEur: number,
  maker: string,
]

// biome-ignore format: a table reads best one thread a line
const ROLLED: BallThread[] = [
  [12, 4, 9.8, 5500, 7000, 149, 41, 24, 40, 70, 'Quern Linear'],
  [12, 5, 9.8, 5500, 7000, 149, 41, 24, 40, 70, 'Quern Linear'],
  [12, 10, 9.5, 6600, 7900, 149, 52, 24, 40, 78, 'Quern Linear'],
  [16, 5, 13.1, 9300, 13100, 200, 42, 28, 48, 96, 'Quern Linear'],
  [16, 10, 12.4, 12000, 15800, 200, 52, 28, 48, 107, 'Quern Linear'],
  [16, 16, 13.1, 6700, 9400, 159, 56, 28, 48, 119, 'Quern Linear'],
  [20, 5, 17.1, 11800, 19500, 260, 46, 36, 58, 118, 'Quern Linear'],
  [20, 10, 16.4, 12400, 19900, 240, 56, 36, 58, 131, 'Brackwater Screw'],
  [20, 20, 16.4, 10100, 15400, 200, 61, 36, 58, 163, 'Quern Linear'],
  [25, 5, 22.1, 13200, 25400, 320, 46, 40, 62, 149, 'Brackwater Screw'],
  [25, 10, 19.2, 28000, 43100, 317, 55, 46, 68, 174, 'Brackwater Screw'],
  [25, 25, 20.7, 14500, 24300, 252, 67, 40, 62, 226, 'Brackwater Screw'],
  [32, 5, 29.1, 14900, 33800, 410, 48, 50, 80, 205, 'Brackwater Screw'],
  [32, 10, 26.2, 33100, 60200, 408, 56, 56, 86, 228, 'Brackwater Screw'],
  [32, 20, 28.4, 13900, 29100, 325, 61, 50, 80, 274, 'Brackwater Screw'],
  [32, 32, 27.7, 17100, 33900, 325, 75, 50, 80, 328, 'Brackwater Screw'],
  [40, 5, 37.1, 17300, 45100, 514, 48, 63, 93, 263, 'Brackwater Screw'],
  [40, 10, 34.2, 38500, 81400, 514, 58, 69, 99, 292, 'Brackwater Screw'],
  [40, 20, 36.4, 16100, 39300, 408, 61, 63, 93, 350, 'Brackwater Screw'],
]

// biome-ignore format: a table reads best one thread a line
const GROUND: BallThread[] = [
  [12, 5, 9.8, 5700, 7400, 167, 41, 24, 40, 217, 'Brackwater Screw'],
  [16, 5, 13.1, 9700, 13900, 224, 42, 28, 48, 298, 'Brackwater Screw'],
  [16, 10, 12.4, 12500, 16800, 224, 52, 28, 48, 330, 'Brackwater Screw'],
  [20, 5, 17.1, 11300, 18800, 282, 43, 36, 58, 380, 'Brackwater Screw'],
  [20, 10, 16.4, 14600, 22700, 282, 54, 36, 58, 422, 'Brackwater Screw'],
  [20, 20, 16.4, 10500, 16300, 224, 61, 36, 58, 506, 'Brackwater Screw'],
  [25, 5, 22.1, 13100, 25400, 355, 44, 40, 62, 486, 'Brackwater Screw'],
  [25, 10, 19.2, 29100, 45700, 355, 55, 46, 68, 540, 'Brackwater Screw'],
  [32, 5, 29.1, 15500, 35400, 457, 46, 50, 80, 638, 'Brackwater Screw'],
  [32, 10, 26.2, 34400, 63800, 457, 56, 56, 86, 708, 'Brackwater Screw'],
  [40, 5, 37.1, 18000, 47800, 576, 48, 63, 93, 815, 'Brackwater Screw'],
  [40, 10, 34.2, 40000, 86200, 576, 58, 69, 99, 905, 'Brackwater Screw'],
]

type SlidingThread = [
  nominalDiameterMm: number,
  leadMm: number,
  pitchMm: number,
  staticCapacityN: number,
  priceEur: number,
]

// biome-ignore format: a table reads best one thread a line
const SLIDING: SlidingThread[] = [
  [10, 2, 2, 2700, 25],
  [12, 3, 3, 3800, 29],
  [14, 3, 3, 5100, 34],
  [14, 4, 4, 5100, 34],
  [16, 4, 4, 6500, 38],
  [18, 4, 4, 8100, 42],
  [20, 4, 4, 9800, 46],
  [22, 5, 5, 11700, 51],
  [24, 5, 5, 13800, 55],
  [26, 5, 5, 16000, 59],
  [28, 5, 5, 18300, 63],
  [30, 6, 6, 20800, 67],
  [32, 6, 6, 23400, 71],
  [36, 6, 6, 29100, 79],
  [12, 6, 3, 3800, 37],
  [16, 8, 4, 6500, 48],
  [20, 8, 4, 9800, 58],
  [24, 10, 5, 13800, 68],
  [30, 12, 6, 20800, 84],
]

const ballThread = ([
  d,
  lead,
  root,
  dynamic,
  still,
  stiffness,
  length,
  body,
  flange,
  price,
  maker,
]: BallThread) => ({
  kind: 'ball' as const,
  maker,
  nominalDiameterMm: d,
  rootDiameterMm: root,
  pitchDiameterMm: d + 0.5,
  leadMm: lead,
  dynamicCapacityN: dynamic,
  staticCapacityN: still,
  pressureSpeedLimitMpaMPerMin: null,
  ratedStiffnessNPerUm: stiffness,
  nutBodyLengthMm: length,
  nutBodyDiameterMm: body,
  nutFlangeDiameterMm: flange,
  nutFlangeThicknessMm: d <= 16 ? 10 : d <= 25 ? 11 : 12,
  flankAngleDeg: 0,
  priceEur: price,
})

/** A rolled screw with a nut that has play, one with oversize balls, or a double nut with a spacer. */
function rolled(thread: BallThread): BarePart<'screw'>[] {
  const common = {
    ...ballThread(thread),
    frictionCoefficient: 0.006,
    speedValueLimit: 60_000,
    toleranceClass: 'T7' as const,
  }
  const { nominalDiameterMm: d, leadMm: lead, dynamicCapacityN, nutBodyLengthMm, priceEur } = common
  const size = `${d} x ${lead}`
  return [
    {
      ...common,
      id: `ball-${d}-${lead}-single`,
      name: `Ball screw ${size}, single nut`,
      preloadN: 0,
      nutPlayUm: 30,
    },
    {
      ...common,
      id: `ball-${d}-${lead}-oversize`,
      name: `Ball screw ${size}, oversize balls`,
      preloadN: Math.round(0.03 * dynamicCapacityN),
      nutPlayUm: 0,
      priceEur: priceEur + 18,
    },
    {
      ...common,
      id: `ball-${d}-${lead}-double`,
      name: `Ball screw ${size}, double nut with spacer`,
      preloadN: Math.round(0.07 * dynamicCapacityN),
      nutPlayUm: 0,
      nutBodyLengthMm: 2 * nutBodyLengthMm + 6,
      priceEur: priceEur + 64,
    },
  ]
}

/** A ground screw, preloaded by an offset of the lead inside one nut, or by two nuts. */
function ground(thread: BallThread): BarePart<'screw'>[] {
  const common = {
    ...ballThread(thread),
    frictionCoefficient: 0.004,
    speedValueLimit: 80_000,
    nutPlayUm: 0,
  }
  const { nominalDiameterMm: d, leadMm: lead, dynamicCapacityN, nutBodyLengthMm, priceEur } = common
  const size = `${d} x ${lead}`
  return [
    {
      ...common,
      id: `ground-${d}-${lead}-offset`,
      name: `Ground ball screw ${size}, one nut preloaded by an offset of its lead`,
      preloadN: Math.round(0.05 * dynamicCapacityN),
      nutBodyLengthMm: Math.round(1.4 * nutBodyLengthMm),
      toleranceClass: 'P5',
    },
    {
      ...common,
      id: `ground-${d}-${lead}-double`,
      name: `Ground ball screw ${size}, double nut`,
      preloadN: Math.round(0.08 * dynamicCapacityN),
      nutBodyLengthMm: 2 * nutBodyLengthMm + 4,
      toleranceClass: 'P3',
      priceEur: Math.round(1.35 * priceEur),
    },
  ]
}

/** A trapezoidal screw with a plain bronze nut, or a split one that is nipped up until play is gone. */
function sliding([d, lead, pitchMm, staticCapacityN, priceEur]: SlidingThread): BarePart<'screw'>[] {
  const size = `${d} x ${lead}`
  const common = {
    kind: 'sliding' as const,
    maker: 'Quern Linear',
    nominalDiameterMm: d,
    rootDiameterMm: d - pitchMm - 0.5,
    pitchDiameterMm: d - pitchMm / 2,
    leadMm: lead,
    dynamicCapacityN: null,
    staticCapacityN,
    ratedStiffnessNPerUm: 12 * d,
    frictionCoefficient: 0.13,
    flankAngleDeg: 15,
    speedValueLimit: 15_000,
    // Oiled bronze on steel, as makers of such nuts give it.
    pressureSpeedLimitMpaMPerMin: 400,
    nutBodyLengthMm: 2 * d,
    nutBodyDiameterMm: Math.round(16 * d) / 10,
    nutFlangeThicknessMm: 10,
    nutFlangeDiameterMm: 2.5 * d,
    toleranceClass: 'T10' as const,
  }
  return [
    {
      ...common,
      id: `slide-${d}-${lead}-plain`,
      name: `Sliding screw ${size}, bronze nut`,
      preloadN: 0,
      nutPlayUm: 80,
      priceEur,
    },
    {
      ...common,
      id: `slide-${d}-${lead}-split`,
      name: `Sliding screw ${size}, split bronze nut`,
      // Nipped up until it only just turns: friction goes up, a little play stays.
      preloadN: 0,
      frictionCoefficient: 0.16,
      nutPlayUm: 12,
      nutBodyLengthMm: 3 * d,
      priceEur: priceEur + 35,
    },
  ]
}

export const SCREWS: BarePart<'screw'>[] = [
  ...ROLLED.flatMap(rolled),
  ...GROUND.flatMap(ground),
  ...SLIDING.flatMap(sliding),
]
