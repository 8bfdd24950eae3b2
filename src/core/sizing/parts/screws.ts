import type { ScrewPart } from './types'

type Rolled = Pick<
  ScrewPart,
  | 'nominalDiameterMm'
  | 'rootDiameterMm'
  | 'leadMm'
  | 'dynamicCapacityN'
  | 'staticCapacityN'
  | 'ratedStiffnessNPerUm'
  | 'nutBodyLengthMm'
  | 'nutBodyDiameterMm'
  | 'nutFlangeDiameterMm'
  | 'priceEur'
>

/** One rolled screw, sold with three nuts: with play, with oversize balls, or as a double nut with a spacer. */
function rolled(base: Rolled, maker: string): ScrewPart[] {
  const { nominalDiameterMm: d, leadMm: lead, dynamicCapacityN } = base
  const size = `${d} x ${lead}`
  const capacityN = dynamicCapacityN ?? 0
  const common = {
    ...base,
    kind: 'ball' as const,
    maker,
    pitchDiameterMm: d + 0.5,
    frictionCoefficient: 0.006,
    flankAngleDeg: 0,
    speedValueLimit: 60_000,
    nutFlangeThicknessMm: d <= 16 ? 10 : d <= 25 ? 11 : 12,
  }
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
      preloadN: Math.round(0.03 * capacityN),
      nutPlayUm: 0,
      priceEur: base.priceEur + 18,
    },
    {
      ...common,
      id: `ball-${d}-${lead}-double`,
      name: `Ball screw ${size}, double nut with spacer`,
      preloadN: Math.round(0.07 * capacityN),
      nutPlayUm: 0,
      nutBodyLengthMm: 2 * base.nutBodyLengthMm + 6,
      priceEur: base.priceEur + 64,
    },
  ]
}

/** A trapezoidal screw with a plain bronze nut, or a split one that is nipped up until play is gone. */
function sliding(d: number, lead: number, staticCapacityN: number, priceEur: number): ScrewPart[] {
  const size = `${d} x ${lead}`
  const common = {
    kind: 'sliding' as const,
    maker: 'Quern Linear',
    nominalDiameterMm: d,
    rootDiameterMm: d - lead - 0.5,
    pitchDiameterMm: d - lead / 2,
    leadMm: lead,
    dynamicCapacityN: null,
    staticCapacityN,
    ratedStiffnessNPerUm: 12 * d,
    frictionCoefficient: 0.13,
    flankAngleDeg: 15,
    speedValueLimit: 15_000,
    nutBodyLengthMm: 2 * d,
    nutBodyDiameterMm: 1.6 * d,
    nutFlangeThicknessMm: 10,
    nutFlangeDiameterMm: 2.5 * d,
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

export const SCREWS: ScrewPart[] = [
  ...rolled(
    {
      nominalDiameterMm: 16,
      rootDiameterMm: 13.1,
      leadMm: 5,
      dynamicCapacityN: 9300,
      staticCapacityN: 13_100,
      ratedStiffnessNPerUm: 200,
      nutBodyLengthMm: 42,
      nutBodyDiameterMm: 28,
      nutFlangeDiameterMm: 48,
      priceEur: 96,
    },
    'Quern Linear',
  ),
  ...rolled(
    {
      nominalDiameterMm: 20,
      rootDiameterMm: 17.1,
      leadMm: 5,
      dynamicCapacityN: 11_800,
      staticCapacityN: 19_500,
      ratedStiffnessNPerUm: 260,
      nutBodyLengthMm: 46,
      nutBodyDiameterMm: 36,
      nutFlangeDiameterMm: 58,
      priceEur: 118,
    },
    'Quern Linear',
  ),
  ...rolled(
    {
      nominalDiameterMm: 20,
      rootDiameterMm: 16.4,
      leadMm: 10,
      dynamicCapacityN: 12_400,
      staticCapacityN: 19_900,
      ratedStiffnessNPerUm: 240,
      nutBodyLengthMm: 56,
      nutBodyDiameterMm: 36,
      nutFlangeDiameterMm: 58,
      priceEur: 131,
    },
    'Brackwater Screw',
  ),
  ...rolled(
    {
      nominalDiameterMm: 25,
      rootDiameterMm: 22.1,
      leadMm: 5,
      dynamicCapacityN: 13_200,
      staticCapacityN: 25_400,
      ratedStiffnessNPerUm: 320,
      nutBodyLengthMm: 46,
      nutBodyDiameterMm: 40,
      nutFlangeDiameterMm: 62,
      priceEur: 149,
    },
    'Brackwater Screw',
  ),
  ...rolled(
    {
      nominalDiameterMm: 32,
      rootDiameterMm: 29.1,
      leadMm: 5,
      dynamicCapacityN: 14_900,
      staticCapacityN: 33_800,
      ratedStiffnessNPerUm: 410,
      nutBodyLengthMm: 48,
      nutBodyDiameterMm: 50,
      nutFlangeDiameterMm: 80,
      priceEur: 205,
    },
    'Brackwater Screw',
  ),
  ...sliding(16, 4, 6500, 38),
  ...sliding(20, 4, 9800, 46),
]
