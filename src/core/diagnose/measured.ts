import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'
import type { CheckId, SheetId } from '../evaluation/ids'
import { readingsOf, stepNmOf, wholeRound } from '../sheets/drag/rounds'
import { gibRounds, playsOf } from '../sheets/gib/rounds'
import { returnRounds, stepsLost } from '../sheets/lostSteps/rounds'
import { pushedPlay, pushRounds } from '../sheets/pushPull/rounds'
import { judgeOf } from '../sheets/reversal/check'
import { measuredScale, scaleRounds } from '../sheets/scale/rounds'
import { lastRound } from '../sheets/shared/rounds/rounds'
import { lostRounds, lostShares, SHARES } from '../sheets/whereLost/rounds'
import { SHARE_WORDS } from '../sheets/whereLost/words'
import { lastDrift } from '../sheets/zeroTime/rounds'
import type { QuantityKind } from '../units/quantity'

// What the readings of an axis come to as figures: what a simulated axis can be held against.

/** A figure that was measured, in the base unit of its quantity. */
export interface MeasuredFigure {
  readonly id: string
  /** In the words of a shop. */
  readonly label: string
  readonly quantity: QuantityKind
  readonly value: number
  readonly standard: number
  /** Better than this nobody foretells it. */
  readonly least: number
}

/** A sheet whose readings come to figures. */
export interface FigureSource {
  readonly sheet: Extract<
    SheetId,
    'reversal' | 'whereLost' | 'pushPull' | 'gib' | 'lostSteps' | 'scale' | 'zeroTime' | 'drag'
  >
  /** When its last readings were begun; null where it has none. */
  readonly at: (axis: EvaluationContext['axis']) => string | null
  /** What they come to, however sure it is. */
  readonly figures: (t: EvaluationContext) => MeasuredFigure[]
  /** Whether the sheet lets them count: a slip, or too few of them, says nothing. */
  readonly counts: (t: EvaluationContext) => boolean
}

/** Lengths are foretold to some micrometres, and turning to what a hand feels. */
const [LEAST_UM, LEAST_NM] = [3, 0.01]

/** A single reading is not known better than to its step. */
const ofStep = (stepUm: number) => stepUm / Math.sqrt(12)
/** What a fitted curve is uncertain by, over the spread about it: it rests on a handful of readings. */
const CURVE_READINGS = 4

/** Whether a check has looked at its readings and come to a figure: it may still not tell it from what is accepted. */
const isJudged = (t: EvaluationContext, check: CheckId): boolean => {
  const finding = t.finding(check)
  return finding !== null && finding.state !== 'unknown'
}

const ofLength = (id: string, label: string, value: number, standard: number): MeasuredFigure => ({
  id,
  label,
  quantity: 'smallLength',
  value,
  standard,
  least: LEAST_UM,
})

const FIGURE_SOURCES: readonly FigureSource[] = [
  {
    sheet: 'reversal',
    at: axis => axis.tests.at(-1)?.startedAt ?? null,
    figures: t => {
      const test = t.axis.tests.at(-1)
      const judged = test && judgeOf(t, test)
      if (!judged) return []
      const { reversalUm, standardUncertaintyUm } = judged.figures
      return [ofLength('reversal', 'Lost at a reversal', Math.abs(reversalUm), standardUncertaintyUm)]
    },
    counts: t => isJudged(t, 'prove.reversal'),
  },
  {
    sheet: 'whereLost',
    at: axis => lastRound(lostRounds, axis)?.startedAt ?? null,
    figures: t => {
      const stepUm = lastRound(lostRounds, t.axis)?.gaugeStepUm ?? null
      const found = stepUm === null ? null : lostShares(t, stepUm)
      if (!found) return []
      return SHARES.map(share =>
        ofLength(
          `share.${share}`,
          `${SHARE_WORDS[share].label}, pushed and pulled`,
          found.shares[share].um,
          found.shares[share].standardUm,
        ),
      )
    },
    counts: t => isJudged(t, 'prove.whereLost'),
  },
  {
    sheet: 'pushPull',
    at: axis => lastRound(pushRounds, axis)?.startedAt ?? null,
    figures: t => {
      const round = lastRound(pushRounds, t.axis)
      const found = round?.gaugeStepUm == null ? null : pushedPlay(t, round.gaugeStepUm)
      if (!round || !found) return []
      return [ofLength('play', 'Play under push and pull', found.playUm, found.expandedUm / 2)]
    },
    counts: t => isJudged(t, 'prove.pushPull'),
  },
  {
    sheet: 'lostSteps',
    at: axis => lastRound(returnRounds, axis)?.startedAt ?? null,
    figures: t => {
      const round = lastRound(returnRounds, t.axis)
      const found = round?.gaugeStepUm == null ? null : stepsLost(t, round.gaugeStepUm)
      return found
        ? [ofLength('return', 'Off after fast moves', found.returnErrorUm, found.standardUncertaintyUm)]
        : []
    },
    counts: t => isJudged(t, 'prove.steps'),
  },
  {
    sheet: 'scale',
    at: axis => lastRound(scaleRounds, axis)?.startedAt ?? null,
    figures: t => {
      const round = lastRound(scaleRounds, t.axis)
      const found = round?.gaugeStepUm == null ? null : measuredScale(t, round.gaugeStepUm)
      return found
        ? [ofLength('scale', 'Off over the travel', found.overTravelUm, found.uncertainUm / 2)]
        : []
    },
    counts: t => isJudged(t, 'prove.scale'),
  },
  {
    sheet: 'gib',
    at: axis => lastRound(gibRounds, axis)?.startedAt ?? null,
    figures: t => {
      const round = lastRound(gibRounds, t.axis)
      const plays = round ? playsOf(round).map(({ playUm }) => playUm) : []
      if (!round || plays.length === 0) return []
      return [
        ofLength(
          'side',
          'Play to the side, where it is tightest',
          Math.min(...plays),
          ofStep(round.gaugeStepUm ?? 0),
        ),
      ]
    },
    counts: t => t.finding('align.gib')?.state !== 'unknown',
  },
  {
    sheet: 'drag',
    at: axis => wholeRound(axis)?.startedAt ?? null,
    figures: dragFigures,
    counts: t => isJudged(t, 'align.drag'),
  },
  {
    sheet: 'zeroTime',
    at: axis => axis.zeroRounds.at(-1)?.startedAt ?? null,
    figures: t => {
      const found = attempt(() => lastDrift(t)).value
      if (!found || (found.is !== 'grows' && found.is !== 'steady')) return []
      return [
        ofLength(
          'growth',
          'Grown far from the fixed block',
          found.growthFarUm ?? found.growthNearUm ?? 0,
          Math.max(found.residualUm, 1) / Math.sqrt(CURVE_READINGS),
        ),
      ]
    },
    counts: t => isJudged(t, 'prove.zeroTime'),
  },
]

/**
 * What the screw takes to turn in the middle, how much more near the fixed block and at the far end, and how much more away than
 * towards. What a drive takes as a whole is known from catalogues alone; how much more it takes at one place than at another is
 * read in one go by one hand, and so is foretold much better.
 *
 * A hand that turns feels a share of what it turns: no reading of it is known better.
 */
function dragFigures(t: EvaluationContext): MeasuredFigure[] {
  const round = wholeRound(t.axis)
  if (!round) return []
  const read = readingsOf(round, t.shop)
  const places = read.map(({ positionMm }) => positionMm)
  const [first, last] = [Math.min(...places), Math.max(...places)]
  if (!(last > first)) return []
  const shareOf = (mm: number) => (mm - first) / (last - first)
  const stepNm = stepNmOf(round, t.shop)
  /** A mean with what it is uncertain by; null where nothing was read. */
  const meanOf = (all: readonly number[]): Known | null => {
    if (all.length === 0) return null
    const value = all.reduce((sum, one) => sum + one, 0) / all.length
    return { value, standard: Math.hypot(ofStep(stepNm), HAND_SHARE * value) / Math.sqrt(all.length) }
  }
  const within = (from: number, to: number) =>
    meanOf(
      read.flatMap(({ positionMm, torqueNm }) =>
        shareOf(positionMm) >= from && shareOf(positionMm) <= to ? [torqueNm] : [],
      ),
    )
  const going = (way: 1 | -1) =>
    meanOf(read.flatMap(({ direction, torqueNm }) => (direction === way ? [torqueNm] : [])))
  const middle = within(NEAR, 1 - NEAR)
  if (!middle) return []
  const leastMore = Math.hypot(LEAST_NM, UNEVEN_SHARE * middle.value)
  const torque = (id: string, label: string, known: Known, least: number): MeasuredFigure => ({
    id,
    label,
    quantity: 'torque',
    ...known,
    least,
  })
  const more = (id: string, label: string, one: Known | null, other: Known | null): MeasuredFigure[] =>
    one && other
      ? [
          torque(
            id,
            label,
            { value: one.value - other.value, standard: Math.hypot(one.standard, other.standard) },
            leastMore,
          ),
        ]
      : []
  return [
    torque('drag.middle', 'Drag in the middle', middle, LEAST_NM),
    ...more('drag.near', 'More drag near the fixed block', within(0, NEAR), middle),
    ...more('drag.far', 'More drag at the far end', within(1 - NEAR, 1), middle),
    ...more('drag.ways', 'More away than towards', going(1), going(-1)),
  ]
}
type Known = Pick<MeasuredFigure, 'value' | 'standard'>
/** A sound drive is as even as this along its travel. */
const UNEVEN_SHARE = 0.07
const NEAR = 0.25
const HAND_SHARE = 0.03

/** What the readings of one sheet come to. */
export interface Measured {
  readonly source: FigureSource
  readonly figures: readonly MeasuredFigure[]
}

/**
 * The figures that the readings of an axis come to, sheet by sheet; none of a sheet that has no figure.
 *
 * @param since readings that were begun before this moment say nothing of the axis as it is
 */
export const measuredIn = (t: EvaluationContext, since: string | null): Measured[] =>
  FIGURE_SOURCES.flatMap(source => {
    const readAt = source.at(t.axis)
    if (readAt === null || (since !== null && readAt <= since) || !source.counts(t)) return []
    const figures = (attempt(() => source.figures(t)).value ?? []).filter(({ value, standard }) =>
      Number.isFinite(value + standard),
    )
    return figures.length > 0 ? [{ source, figures }] : []
  })
