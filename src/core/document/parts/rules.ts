import type { QuantityKind } from '../../units/quantity'
import type { PartKind } from '../kinds'

import type { PartOf } from './types'

/** Writes a figure with its unit, in the units that the builder reads. */
export type Words = (value: number, quantity: QuantityKind) => string

/** What two figures of one part must be to each other; broken, it is said beside the field. */
interface PartRule<P> {
  field: keyof P & string
  /** What the field takes, in words; null where the part is fine. */
  breaks: (part: P, words: Words) => string | null
}

const below = (mm: number, of: string, words: Words) => `less than ${words(mm, 'length')}, ${of}`

/** Most preload of a nut, as a share of its dynamic capacity: beyond it the preload alone wears it out. */
const MOST_PRELOAD_SHARE = 0.1

const SCREW_RULES: PartRule<PartOf['screw']>[] = [
  {
    field: 'rootDiameterMm',
    breaks: ({ rootDiameterMm: root, nominalDiameterMm: d }, words) =>
      root < d ? null : below(d, 'the diameter of the screw', words),
  },
  {
    field: 'pitchDiameterMm',
    breaks: ({ pitchDiameterMm: pitch, rootDiameterMm: root, nominalDiameterMm: d, kind }, words) =>
      kind === 'sliding'
        ? pitch > root && pitch < d
          ? null
          : `a pitch diameter between the root of ${words(root, 'length')} and the ${words(d, 'length')} of the screw`
        : pitch > root && pitch < 1.3 * d
          ? null
          : `a ball circle over the root of ${words(root, 'length')} and below ${words(Math.round(1.3 * d), 'length')}`,
  },
  {
    field: 'leadMm',
    breaks: ({ leadMm, nominalDiameterMm: d }, words) =>
      leadMm <= 3 * d ? null : `at most ${words(3 * d, 'length')}, three times the diameter`,
  },
  {
    field: 'dynamicCapacityN',
    breaks: ({ kind, dynamicCapacityN }) =>
      kind === 'ball'
        ? dynamicCapacityN === null
          ? 'a dynamic capacity, which a ball screw has'
          : null
        : dynamicCapacityN === null
          ? null
          : 'nothing: a sliding nut wears, it has no dynamic capacity',
  },
  {
    field: 'preloadN',
    breaks: ({ preloadN, dynamicCapacityN }, words) => {
      if (preloadN === 0) return null
      if (dynamicCapacityN === null) return '0: a sliding nut has no preload of balls'
      const most = Math.floor(MOST_PRELOAD_SHARE * dynamicCapacityN)
      return preloadN <= most ? null : `at most ${words(most, 'force')}, a tenth of the dynamic capacity`
    },
  },
  {
    field: 'pressureSpeedLimitMpaMPerMin',
    breaks: ({ kind, pressureSpeedLimitMpaMPerMin }) =>
      kind === 'ball' && pressureSpeedLimitMpaMPerMin !== null
        ? 'nothing: balls roll, they do not slide'
        : null,
  },
  {
    field: 'nutPlayUm',
    breaks: ({ preloadN, nutPlayUm }) =>
      preloadN > 0 && nutPlayUm > 0 ? '0: a preloaded nut has no play' : null,
  },
  {
    field: 'nutBodyDiameterMm',
    breaks: ({ nutBodyDiameterMm: body, nominalDiameterMm: d }, words) =>
      body > d ? null : `more than ${words(d, 'length')}, the diameter of the screw`,
  },
  {
    field: 'nutFlangeDiameterMm',
    breaks: ({ nutFlangeDiameterMm: flange, nutBodyDiameterMm: body }, words) =>
      flange >= body ? null : `at least ${words(body, 'length')}, the diameter of the nut body`,
  },
]

const BEARING_RULES: PartRule<PartOf['bearing']>[] = [
  {
    field: 'couplerSeatMm',
    breaks: ({ couplerSeatMm, boreMm }, words) =>
      couplerSeatMm < boreMm ? null : below(boreMm, 'the bore', words),
  },
  {
    field: 'ballDiameterMm',
    breaks: ({ ballDiameterMm, boreMm }, words) =>
      ballDiameterMm < boreMm ? null : below(boreMm, 'the bore', words),
  },
  {
    field: 'f0',
    breaks: ({ f0, arrangement }) =>
      f0 !== null && arrangement !== 'deep-groove' ? 'nothing: only deep-groove bearings have it' : null,
  },
  {
    field: 'blockHeightMm',
    breaks: ({ blockHeightMm, boreMm }, words) =>
      blockHeightMm > boreMm ? null : `more than ${words(boreMm, 'length')}, the bore`,
  },
  {
    field: 'preloadN',
    breaks: ({ preloadN, dynamicCapacityN }, words) =>
      preloadN <= 0.4 * dynamicCapacityN
        ? null
        : `at most ${words(Math.floor(0.4 * dynamicCapacityN), 'force')}, four tenths of the dynamic capacity`,
  },
]

const COUPLER_RULES: PartRule<PartOf['coupler']>[] = [
  {
    field: 'largestBoreMm',
    breaks: ({ smallestBoreMm: least, largestBoreMm: most, diameterMm }, words) =>
      most >= least && most < diameterMm
        ? null
        : `from ${words(least, 'length')}, the smallest bore, to less than ${words(diameterMm, 'length')}, the diameter`,
  },
  {
    field: 'hubGapMm',
    breaks: ({ hubGapMm, type }) =>
      type === 'jaw' || hubGapMm === 0 ? null : '0: only a jaw coupler has a gap to keep',
  },
]

const BELT_RULES: PartRule<PartOf['belt']>[] = [
  {
    field: 'largestBoreMm',
    breaks: (belt, words) => boreFits(belt, belt.largestBoreMm, belt.teethMotor, words),
  },
  {
    field: 'largestScrewBoreMm',
    breaks: (belt, words) => boreFits(belt, belt.largestScrewBoreMm, belt.teethScrew, words),
  },
  {
    field: 'cordStiffnessN',
    breaks: ({ cordStiffnessN, ratedPullN }, words) =>
      ratedPullN <= 0.02 * cordStiffnessN
        ? null
        : `at least ${words(Math.ceil(50 * ratedPullN), 'force')}, as cords stretch little under the rated pull`,
  },
]

function boreFits(belt: PartOf['belt'], boreMm: number, teeth: number, words: Words): string | null {
  const pitchDiameterMm = (belt.pitchMm * teeth) / Math.PI
  return boreMm >= belt.smallestBoreMm && boreMm < pitchDiameterMm
    ? null
    : `from ${words(belt.smallestBoreMm, 'length')}, the smallest bore, to less than ${words(Math.round(10 * pitchDiameterMm) / 10, 'length')}, the pitch diameter of ${teeth} teeth`
}

const MOTOR_RULES: PartRule<PartOf['motor']>[] = [
  {
    field: 'shaftMm',
    breaks: ({ shaftMm, frameMm }, words) => (shaftMm < frameMm ? null : below(frameMm, 'the frame', words)),
  },
  {
    field: 'detentTorqueNm',
    breaks: ({ detentTorqueNm, holdingTorqueNm }, words) =>
      detentTorqueNm < holdingTorqueNm
        ? null
        : `less than ${words(holdingTorqueNm, 'torque')}, the holding torque`,
  },
  {
    field: 'driveCurrentA',
    breaks: ({ driveCurrentA, ratedCurrentA }) =>
      driveCurrentA <= ratedCurrentA ? null : `at most ${ratedCurrentA} A, the rated current`,
  },
  {
    field: 'continuousTorqueNm',
    breaks: ({ continuousTorqueNm, holdingTorqueNm }, words) =>
      continuousTorqueNm === null || continuousTorqueNm <= holdingTorqueNm
        ? null
        : `at most ${words(holdingTorqueNm, 'torque')}, the peak`,
  },
  { field: 'curve', breaks: ({ curve }) => (curve ? curveBreaks(curve) : null) },
]

const BRAKE_RULES: PartRule<PartOf['brake']>[] = [
  {
    field: 'largestBoreMm',
    breaks: ({ smallestBoreMm: least, largestBoreMm: most }, words) =>
      most >= least ? null : `at least ${words(least, 'length')}, the smallest bore`,
  },
]

/**
 * What is wrong with a torque curve: it needs two points or more, of rising speed.
 *
 * @example curveBreaks([{ speedRpm: 500, torqueNm: 2 }, { speedRpm: 400, torqueNm: 1 }]) // 'speeds that rise: point 2 is at 400 rpm, after 500 rpm'
 */
export function curveBreaks(curve: readonly { speedRpm: number; torqueNm: number }[]): string | null {
  if (curve.length < 2) return 'two points or more'
  for (const [index, { speedRpm }] of curve.entries()) {
    const before = curve[index - 1]
    if (before && speedRpm <= before.speedRpm)
      return `speeds that rise: point ${index + 1} is at ${speedRpm} rpm, after ${before.speedRpm} rpm`
  }
  return null
}

const RULES: { [K in PartKind]: PartRule<PartOf[K]>[] } = {
  screw: SCREW_RULES,
  bearing: BEARING_RULES,
  coupler: COUPLER_RULES,
  belt: BELT_RULES,
  motor: MOTOR_RULES,
  brake: BRAKE_RULES,
}

/** Rules that a part breaks whose fields are each in range: the field, and what it takes. */
export function rulesBroken<K extends PartKind>(
  kind: K,
  part: PartOf[K],
  words: Words,
): { field: string; takes: string }[] {
  return (RULES[kind] as PartRule<PartOf[K]>[]).flatMap(({ field, breaks }) => {
    const takes = breaks(part, words)
    return takes ? [{ field, takes }] : []
  })
}
