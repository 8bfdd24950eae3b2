import { InputError } from '../calculation/inputError'
import type { OwnLimits } from '../document/axis'
import { DIMENSIONS } from '../document/dimensions'
import type { PartKind } from '../document/kinds'
import type { Stage } from '../document/stages'
import { say } from '../units/print'
import type { QuantityKind, UnitSystem } from '../units/quantity'
import type { EvaluationContext } from './context'
import { type Finding, type Measure, MOST_MARGIN, type Subject } from './finding'
import { inputErrorWords } from './inputErrorWords'
import { type Missing, NotKnown } from './notKnown'

/** What a check finds: the part of a finding that is its own judgement. */
export interface Judgement {
  state: Finding['state']
  figure: Measure | null
  limit: Measure | null
  use: number | null
  margin?: number | null
  /** The margin that drives are ranked by, where it is another: null leaves the check out. */
  rankMargin?: number | null
  limitKey?: string | null
  sentence: string
}

export type Say = (value: number, quantity: QuantityKind, decimals?: number) => string

/** One check of an axis, listed by its id in its sheet. `judge` returns null where the check does not apply. */
export interface Check {
  title: string
  subject: Subject
  /** Whether it is about the drive and the parts it is made of: a search and a choice of parts go by these. */
  ofDrive?: boolean
  judge: (t: EvaluationContext, say: Say) => Judgement | null
}
/** A check with where it is listed. */
export interface ListedCheck extends Check {
  checkId: string
  sheet: string
  stage: Stage
}

/** A part that is not chosen yet, as one asks for it. */
export const PART_WORDS: Record<PartKind, string> = {
  screw: 'a screw and its nut',
  bearing: 'the bearings of the fixed end',
  coupler: 'a coupler',
  belt: 'a belt with its pulleys',
  motor: 'a motor',
  brake: 'a brake',
}

/** What to do about something missing, as a sentence. */
export const askFor = (missing: Missing): string =>
  'part' in missing
    ? `Choose ${PART_WORDS[missing.part]} first.`
    : 'sheet' in missing
      ? `Enter first: ${missing.what}.`
      : `Measure first: ${DIMENSIONS[missing.dimension].label.toLowerCase()}.`

/**
 * Judges one check of an axis.
 *
 * @returns its finding; "not known yet" with what is missing when a figure cannot be had; null when the
 *   check does not apply to this axis
 */
export function judgeCheck(t: EvaluationContext, check: ListedCheck): Finding | null {
  const { value: judgement, reads } = t.watch(() => judgeOrAsk(t, check))
  if (!judgement) return null
  const restsOn: Finding['restsOn'] = []
  for (const dimension of reads.dimensions)
    restsOn.push({ dimension, provenance: t.axis.dimensions[dimension].provenance })
  // Written out field by field: this runs for every check at every key stroke.
  return {
    checkId: check.checkId,
    title: check.title,
    subject: check.subject,
    sheet: check.sheet,
    stage: check.stage,
    ofDrive: isOfDrive(check),
    state: judgement.state,
    figure: judgement.figure,
    limit: judgement.limit,
    // What is nothing at all of what is wanted has no end of use.
    use: judgement.use === null ? null : Math.min(judgement.use, MOST_MARGIN),
    margin: judgement.margin ?? null,
    rankMargin: judgement.rankMargin === undefined ? (judgement.margin ?? null) : judgement.rankMargin,
    limitKey: judgement.limitKey ?? null,
    ownLimits: ownLimitsOf(t, judgement.limitKey),
    sentence: judgement.sentence,
    missing: judgement.missing ?? null,
    because: [...reads.figures],
    restsOn,
  }
}

const ownLimitsOf = (t: EvaluationContext, limitKey: string | null | undefined): OwnLimits | null =>
  (limitKey && t.axis.limits[limitKey]) || null

function judgeOrAsk(t: EvaluationContext, check: Check): (Judgement & { missing?: Missing | null }) | null {
  try {
    return check.judge(t, (value, quantity, decimals) => say(value, quantity, t.units, decimals))
  } catch (error) {
    return unknown(error, t.units)
  }
}

function unknown(error: unknown, units: UnitSystem): Judgement & { missing: Missing | null } {
  const nothing = { state: 'unknown' as const, figure: null, limit: null, use: null }
  if (error instanceof NotKnown)
    return { ...nothing, missing: error.missing, sentence: askFor(error.missing) }
  if (error instanceof InputError)
    return { ...nothing, missing: null, sentence: inputErrorWords(error, units) }
  throw error
}

/** Whether a check is about the drive: all that is sized is, and what says so. */
export const isOfDrive = ({ ofDrive, stage }: ListedCheck): boolean => ofDrive ?? stage === 'size'

/** The checks of a sheet by their ids. */
export const defineChecks = <const Id extends string>(
  checks: Record<Id, Check>,
): { readonly [K in Id]: Check } => checks
