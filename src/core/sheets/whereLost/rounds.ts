import type { EvaluationContext } from '../../evaluation/context'
import { forces } from '../../machine/drive/load'
import { driveStiffness, lostMotionBudget } from '../../machine/drive/stiffness'
import { isBelted, ratio } from '../../machine/drive/transmission'
import { meanOf } from '../shared/proofs/fewReadings'
import { holdsSlideN } from '../shared/proofs/pushes'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { split } from './calculation'
import { LOST_ROUNDS, type LostRound } from './model'

/** The five places, from the motor to the slide. */
export const PLACES = ['motorHubUm', 'screwHubUm', 'screwEndUm', 'nutFlangeUm', 'slideUm'] as const
export type Place = (typeof PLACES)[number]

/** The five parts that what is lost is lost in. */
export const SHARES = ['motor', 'coupler', 'bearing', 'nut', 'bracket'] as const
export type Share = (typeof SHARES)[number]

const FIRST_PUSHES = 3
/** So far past what holds the slide, it is surely moved. */
const PAST = 1.5

const readAt = (round: LostRound, place: Place): number[] => round.stations.flatMap(one => one[place] ?? [])

export const lostRounds = defineRounds<LostRound>({
  about: 'Where it is lost',
  of: LOST_ROUNDS,
  pick: axis => axis.lostRounds,
  only: lostRounds => ({ lostRounds }),
  proves: true,
  columns: PLACES.map(key => ({
    key,
    step: (round: LostRound) => round.gaugeStepUm,
    shape: () => [1],
    perhaps: 'a base that moved',
  })),
  begin: (axis, shop) => ({
    gaugeStepUm: shop.gaugeStepUm,
    forceN: Math.max(
      Math.min(Math.max(Math.round(axis.goals.cuttingForceN / 10) * 10, 30), 300),
      Math.ceil((PAST * holdsSlideN(axis)) / 10) * 10,
    ),
    stations: Array.from({ length: FIRST_PUSHES }, () => ({
      motorHubUm: null,
      screwHubUm: null,
      screwEndUm: null,
      nutFlangeUm: null,
      slideUm: null,
    })),
  }),
  worst: (_, round) => {
    const slide = readAt(round, 'slideUm')
    return slide.length ? { value: meanOf(slide), quantity: 'smallLength' } : null
  },
  resolution: ({ axis }, { gaugeStepUm, stations }) =>
    gaugeStepUm === null
      ? null
      : {
          leastUm: 2 * Math.sqrt(3) * readingStandardUm([], gaugeStepUm, stations.length),
          countsUm: axis.goals.backlashTargetUm,
        },
  worstWords: 'lost at the slide',
})

/**
 * What a mean of pushes is uncertain by: the spread of them all about their means, and both ends of each read in steps.
 *
 * @param places the readings of each place
 * @param count how many each mean is of
 */
export function readingStandardUm(
  places: readonly (readonly number[])[],
  stepUm: number,
  count: number,
): number {
  const spare = places.reduce((sum, one) => sum + Math.max(one.length - 1, 0), 0)
  const squares = places.reduce((sum, one) => sum + one.reduce((of, x) => of + (x - meanOf(one)) ** 2, 0), 0)
  const variance = spare > 0 ? squares / spare : 0
  return Math.sqrt((variance + (2 * stepUm ** 2) / 12) / Math.max(count, 1))
}

/** Where the lost motion of the last round is lost; null while a place is unread. @throws NotKnown without a lead */
export function lostShares(t: EvaluationContext, stepUm: number) {
  const round = lastRound(lostRounds, t.axis)
  if (!round) return null
  const places = PLACES.map(place => readAt(round, place))
  if (places.some(one => one.length === 0)) return null
  const [motor, screw, end, nut, slide] = places.map(meanOf) as [number, number, number, number, number]
  const { leadMm } = t.part('screw')
  // An arc at a radius is so much of a turn, and a turn moves the nut by the lead.
  const asTravelUm = (arcUm: number, radiusMm: number) => (arcUm / radiusMm / (2 * Math.PI)) * leadMm
  const readingUncertaintyUm = readingStandardUm(places, stepUm, Math.min(...places.map(one => one.length)))
  const shares = t.figure('split', split, {
    motorHubUm: asTravelUm(motor, round.motorRadiusMm) / ratio(t),
    screwHubUm: asTravelUm(screw, round.screwRadiusMm),
    screwEndUm: end,
    nutFlangeUm: nut,
    tableUm: slide,
    readingUncertaintyUm,
  })
  return { round, shares, readingUncertaintyUm }
}

/** What of a push gets past the friction of the slide, and on to the drive. */
const pushedOnN = (t: EvaluationContext, forceN: number) => Math.max(forceN - forces(t).frictionN, 0)

/** What a sound drive gives under a push to and fro, as Size reckons it. @throws NotKnown while the drive is not chosen */
export const giveUm = (t: EvaluationContext, forceN: number): number =>
  (2 * pushedOnN(t, forceN)) / driveStiffness(t).stiffnessNPerUm

/**
 * What Size reckons each part to lose under the same push and pull: its play, and what it gives both ways.
 *
 * @throws NotKnown while the drive is not chosen
 */
export function reckonedShares(t: EvaluationContext, forceN: number): Readonly<Record<Share, number>> {
  const { parts } = driveStiffness(t)
  const { causes } = lostMotionBudget(t)
  const playUm = (subject: string) => causes.find(cause => cause.subject === subject)?.um ?? 0
  const give = (stiffnessNPerUm: number) => (2 * pushedOnN(t, forceN)) / stiffnessNPerUm
  return {
    motor: playUm('motor'),
    coupler: playUm(isBelted(t) ? 'belt' : 'coupler') + give(parts.coupler),
    bearing: playUm('bearing') + give(parts.bearing),
    // Between the end of the screw and the flange of the nut lies the screw itself.
    nut: playUm('nut') + give(parts.nut) + give(parts.screw) + give(parts.torsion),
    bracket: 0,
  }
}
