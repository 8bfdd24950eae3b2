import { isEqual } from 'es-toolkit'
import { InputError } from '../calculation/inputError'
import type { Axis, OwnLimits } from '../document/axis'
import { DIMENSIONS } from '../document/dimensions'
import type { PartKind } from '../document/kinds'
import type { Stage } from '../document/stages'
import { say } from '../units/print'
import type { QuantityKind, UnitSystem } from '../units/quantity'
import type { Reads } from './axisReads'
import type { EvaluationContext } from './context'
import { type Finding, type Measure, MOST_MARGIN, type Subject } from './finding'
import type { CheckId, LimitKey, SheetId } from './ids'
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
  limitKey?: LimitKey | null
  /** What is missing before it is known, where a judge says itself what can be said until then. */
  missing?: Missing
  /** What, compared with what, because of what; a function where it is worth putting together only when it is read. */
  sentence: string | (() => string)
}

/** The sentence of a judgement, put together now. */
export const inWords = ({ sentence }: Pick<Judgement, 'sentence'>): string =>
  typeof sentence === 'string' ? sentence : sentence()

export type Say = (value: number, quantity: QuantityKind, decimals?: number) => string

/** One check of an axis, listed by its id in its sheet. `judge` returns null where the check does not apply. */
export interface Check {
  title: string
  subject: Subject
  /** Whether it is about the drive and the parts it is made of: a search and a choice of parts go by these. */
  ofDrive?: boolean
  judge: (t: EvaluationContext, say: Say) => Judgement | null
  /** Whether what it is of is not there: only then may a change do away with a check that fails. */
  isGone?: (t: EvaluationContext) => boolean
}
/** A check with where it is listed. */
export interface ListedCheck extends Check {
  checkId: CheckId
  sheet: SheetId
  stage: Stage
}

/** Checks by their ids. */
export type CheckMap = ReadonlyMap<CheckId, ListedCheck>

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
 * @param axis the state that is judged
 * @param reads what is noted of it while it is judged
 * @returns its finding; "not known yet" with what is missing when a figure cannot be had; null when the
 *   check does not apply to this axis
 */
export function judgeCheck(
  t: EvaluationContext,
  check: ListedCheck,
  axis: Axis,
  reads: Reads,
): LazyFinding | null {
  const judgement = judgeOrAsk(t, check)
  return judgement && new LazyFinding(t, check, judgement, axis, reads)
}

function judgeOrAsk(t: EvaluationContext, check: Check): Judgement | null {
  try {
    return check.judge(t, (value, quantity, decimals) => say(value, quantity, t.units, decimals))
  } catch (error) {
    return unknown(error, t.units)
  }
}

function unknown(error: unknown, units: UnitSystem): Judgement {
  if (error instanceof NotKnown) {
    const { missing } = error
    return {
      state: 'unknown',
      figure: null,
      limit: null,
      use: null,
      missing,
      sentence: () => askFor(missing),
    }
  }
  if (error instanceof InputError)
    return {
      state: 'unknown',
      figure: null,
      limit: null,
      use: null,
      sentence: () => inputErrorWords(error, units),
    }
  throw error
}

/** A finding whose words, and what stands behind it, are put together when somebody looks. */
export class LazyFinding implements Finding {
  readonly state: Finding['state']
  readonly use: number | null
  readonly ownLimits: OwnLimits | null
  private words: string | null = null

  constructor(
    private readonly t: EvaluationContext,
    private readonly check: ListedCheck,
    private readonly judgement: Judgement,
    private readonly axis: Axis,
    private readonly reads: Reads,
  ) {
    const { state, use, limitKey } = judgement
    this.state = state
    // What is nothing at all of what is wanted has no end of use.
    this.use = use === null ? null : Math.min(use, MOST_MARGIN)
    this.ownLimits = (limitKey && t.ownLimits(limitKey)) || null
  }

  get checkId(): CheckId {
    return this.check.checkId
  }
  get title(): string {
    return this.check.title
  }
  get subject(): Subject {
    return this.check.subject
  }
  get sheet(): SheetId {
    return this.check.sheet
  }
  get stage(): Stage {
    return this.check.stage
  }
  get ofDrive(): boolean {
    return isOfDrive(this.check)
  }
  get figure(): Measure | null {
    return this.judgement.figure
  }
  get limit(): Measure | null {
    return this.judgement.limit
  }
  get margin(): number | null {
    return this.judgement.margin ?? null
  }
  get rankMargin(): number | null {
    const { rankMargin } = this.judgement
    return rankMargin === undefined ? this.margin : rankMargin
  }
  get limitKey(): LimitKey | null {
    return this.judgement.limitKey ?? null
  }
  get missing(): Missing | null {
    return this.judgement.missing ?? null
  }
  get sentence(): string {
    this.words ??= this.t.noting(this.reads, () => inWords(this.judgement))
    return this.words
  }
  get because(): string[] {
    return [...this.reads.figures.keys()]
  }
  get restsOn(): Finding['restsOn'] {
    return this.reads.dimensions.map(dimension => ({
      dimension,
      provenance: this.axis.dimensions[dimension].provenance,
    }))
  }

  /** The finding as plain data: as it is written, sent and compared. */
  toJSON(): Finding {
    const { checkId, title, subject, sheet, stage, ofDrive, state, figure, limit, use, margin } = this
    const { rankMargin, limitKey, ownLimits, sentence, because, restsOn, missing } = this
    return {
      checkId,
      title,
      subject,
      sheet,
      stage,
      ofDrive,
      state,
      figure,
      limit,
      use,
      margin,
      rankMargin,
      limitKey,
      ownLimits,
      sentence,
      because,
      restsOn,
      missing,
    }
  }
}

/** Whether two findings say the same: by what they say, never by what they hold on to. */
export const saysTheSame = (a: Finding, b: Finding): boolean =>
  a === b || isEqual(plainFindings([a]), plainFindings([b]))

/** Findings as plain data, for what takes no more: a message to another thread. */
export const plainFindings = (findings: readonly Finding[]): Finding[] =>
  findings.map(finding => (finding instanceof LazyFinding ? finding.toJSON() : finding))

/** Whether a check is about the drive: all that is sized is, and what says so. */
export const isOfDrive = ({ ofDrive, stage }: ListedCheck): boolean => ofDrive ?? stage === 'size'

/** The checks of a sheet by their ids. */
export const defineChecks = <const Id extends CheckId>(
  checks: Record<Id, Check>,
): { readonly [K in Id]: Check } => checks
