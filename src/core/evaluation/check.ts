import { InputError } from '../calculation/inputError'
import { DIMENSIONS } from '../document/dimensions'
import type { PartKind } from '../document/job'
import { say } from '../units/print'
import type { QuantityKind, UnitSystem } from '../units/quantity'
import { type Missing, NotKnown, type Trace } from './context'
import type { Finding, Measure, Stage, Subject } from './finding'
import type { LimitKey } from './limits'

/** What a check finds: the part of a finding that is its own judgement. */
export interface Judgement {
  state: Finding['state']
  figure: Measure | null
  limit: Measure | null
  use: number | null
  margin?: number | null
  limitKey?: LimitKey | null
  sentence: string
}

export type Say = (value: number, quantity: QuantityKind, decimals?: number) => string

/** One check of an axis. `judge` returns null where the check does not apply. */
export interface Check {
  checkId: string
  title: string
  subject: Subject
  stage: Stage
  judge: (t: Trace, say: Say) => Judgement | null
}

const PART_WORDS: Record<PartKind, string> = {
  screw: 'a screw and its nut',
  bearing: 'the bearings of the fixed end',
  coupler: 'a coupler',
  belt: 'a belt with its pulleys',
  motor: 'a motor',
}

/** What to do about something missing, as a sentence. */
export const askFor = (missing: Missing): string =>
  'part' in missing
    ? `Choose ${PART_WORDS[missing.part]} first.`
    : `Measure first: ${DIMENSIONS[missing.dimension].label.toLowerCase()}.`

/**
 * Runs a check on a trace.
 *
 * @returns its finding; "not known yet" with what is missing when a figure cannot be had; null when the
 *   check does not apply to this axis
 */
export function runCheck(t: Trace, check: Check, units: UnitSystem): Finding | null {
  const { value: judgement, reads } = t.watch(() => attempt(t, check, units))
  if (!judgement) return null
  const restsOn = Array.from(reads.dimensions, dimension => ({
    dimension,
    provenance: t.axis.dimensions[dimension].provenance,
  }))
  // Written out field by field: this runs for every check at every key stroke.
  return {
    checkId: check.checkId,
    title: check.title,
    subject: check.subject,
    stage: check.stage,
    state: judgement.state,
    figure: judgement.figure,
    limit: judgement.limit,
    use: judgement.use,
    margin: judgement.margin ?? null,
    limitKey: judgement.limitKey ?? null,
    ownLimits: (judgement.limitKey && t.axis.limits[judgement.limitKey]) ?? null,
    sentence: judgement.sentence,
    missing: judgement.missing ?? null,
    because: Array.from(reads.figures),
    restsOn,
  }
}

function attempt(
  t: Trace,
  check: Check,
  units: UnitSystem,
): (Judgement & { missing?: Missing | null }) | null {
  try {
    return check.judge(t, (value, quantity, decimals) => say(value, quantity, units, decimals))
  } catch (error) {
    return unknown(error)
  }
}

function unknown(error: unknown): Judgement & { missing: Missing | null } {
  const nothing = { state: 'unknown' as const, figure: null, limit: null, use: null }
  if (error instanceof NotKnown)
    return { ...nothing, missing: error.missing, sentence: askFor(error.missing) }
  if (error instanceof InputError)
    return { ...nothing, missing: null, sentence: `Cannot be worked out: ${error.message}.` }
  throw error
}
