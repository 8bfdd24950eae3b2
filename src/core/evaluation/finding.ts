import type { OwnLimits } from '../document/axis'
import type { DimensionKey } from '../document/dimensions'
import { isRead, type Provenance } from '../document/kinds'
import type { Stage } from '../document/stages'
import type { QuantityKind } from '../units/quantity'
import type { EvaluationContext } from './context'
import type { CheckId, LimitKey, SheetId } from './ids'
import { type LimitFacts, type Limits, limitsOf } from './limits'
import type { Missing } from './notKnown'

/** Worst first. */
export const STATES = ['fails', 'close', 'unknown', 'holds'] as const
export type State = (typeof STATES)[number]

export const STATE_WORDS: Record<State, string> = {
  fails: 'Fails',
  close: 'Close',
  unknown: 'Not known yet',
  holds: 'Holds',
}

/**
 * How many findings are in a state, in words.
 *
 * @example countWords('fails', 2) // '2 fail'
 */
export const countWords = (state: State, count: number): string =>
  `${count} ${(count === 1 ? STATE_WORDS : { ...STATE_WORDS, fails: 'fail', holds: 'hold' })[state].toLowerCase()}`

/** The part of the drive, or the thing, that a finding is about. */
export type Subject =
  | 'screw'
  | 'nut'
  | 'bearing'
  | 'coupler'
  | 'belt'
  | 'motor'
  | 'axis'
  | 'travel'
  | 'line'
  | 'proof'

export interface Measure {
  value: number
  /** What it is uncertain by, to each side at 95 %, where that is known. */
  expanded?: number
  quantity: QuantityKind
}

/** One judgement of an axis, as data: the screen, the printed record and the command line say the same. */
export interface Finding {
  checkId: CheckId
  title: string
  subject: Subject
  /** The sheet that the check belongs to, and its stage. */
  sheet: SheetId
  stage: Stage
  /** Whether it is about the drive and the parts it is made of, rather than about what is cut and fitted for it. */
  ofDrive: boolean
  state: State
  /** What was found, and what it is held against. */
  figure: Measure | null
  limit: Measure | null
  /** How much of the limit is used: 1 is all of it. Null when there is no such share. */
  use: number | null
  /** How many times over the limit at which it holds it stands: below 1 it does not hold. Null without figures. */
  margin: number | null
  /** The margin that drives are ranked by: without what a table mends, and null where no drive can change it. */
  rankMargin: number | null
  /** The limits it is held to; null where there is none to change. */
  limitKey: LimitKey | null
  /** Limits that the builder has set for it, with the reason. */
  ownLimits: OwnLimits | null
  /** What, compared with what, because of what. */
  sentence: string
  /** Names of the worked figures behind it, the last one nearest to the verdict. */
  because: string[]
  restsOn: { dimension: DimensionKey; provenance: Provenance }[]
  missing: Missing | null
}

type GradedState = 'holds' | 'close' | 'fails'

// A sum that is a hair off its limit by rounding alone is at the limit.
const TOLERANCE = 1e-9

/**
 * The state of a figure against limits.
 *
 * @example grade({ sense: 'at-most', holds: 0.8, close: 1 }, 0.85) // 'close'
 */
export function grade({ sense, holds, close }: Limits, ratio: number): GradedState {
  const beyond = (limit: number) =>
    sense === 'at-most' ? ratio > limit * (1 + TOLERANCE) : ratio < limit * (1 - TOLERANCE)
  if (!beyond(holds)) return 'holds'
  return beyond(close) ? 'fails' : 'close'
}

/** No limit is beaten by more than this: an axis without any load has no end of margin. */
export const MOST_MARGIN = 1000

/** Where a verdict that is close without a figure stands among those that have one: a drive with it does not hold in all. */
export const CLOSE_MARGIN = 0.95

/** The state of a figure against the limits that an axis is held to, and how many times over the holding one it stands. */
export function standing(
  t: Pick<EvaluationContext, 'ownLimits'>,
  facts: LimitFacts,
  ratio: number,
): Pick<Finding, 'margin' | 'limitKey'> & { state: GradedState } {
  const limits = limitsOf(t.ownLimits(facts.key), facts)
  const margin = limits.sense === 'at-most' ? limits.holds / ratio : ratio / limits.holds
  return {
    limitKey: facts.key,
    state: grade(limits, ratio),
    margin: Math.min(Math.max(margin, 0), MOST_MARGIN),
  }
}

/**
 * How much is used of what a check may come to and still hold: 1 is all of it. The one scale on which limits are compared, on
 * cards, in lists and in words; null where there is no such share.
 *
 * @example shareUsed({ margin: 0.8, use: 1 }) // 1.25
 */
export const shareUsed = ({ margin, use }: Pick<Finding, 'margin' | 'use'>): number | null =>
  margin === null ? use : Math.min(1 / margin, MOST_MARGIN)

/** Sorts findings worst first; among equals what has least in hand first. */
export function byUrgency(findings: Finding[]): Finding[] {
  return findings.toSorted(
    (a, b) => STATES.indexOf(a.state) - STATES.indexOf(b.state) || (shareUsed(b) ?? 0) - (shareUsed(a) ?? 0),
  )
}

/** The worst state among findings; null among none. One place decides what is worst. */
export const worstState = (findings: readonly Pick<Finding, 'state'>[]): State | null =>
  STATES.find(state => findings.some(finding => finding.state === state)) ?? null

/**
 * The state of a stage: the worst of its findings; none while everything that holds rests on assumptions alone, for
 * nothing is ticked before something is measured.
 */
export function stageState(findings: readonly Pick<Finding, 'state' | 'restsOn'>[]): State | null {
  const worst = worstState(findings)
  const measured = findings.some(
    ({ restsOn }) => restsOn.length === 0 || restsOn.some(({ provenance }) => isRead(provenance)),
  )
  return worst === 'holds' && !measured ? null : worst
}
