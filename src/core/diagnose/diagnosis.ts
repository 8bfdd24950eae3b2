import type { EvaluationContext } from '../evaluation/context'
import { isBelted, isClosedLoop } from '../machine/drive/transmission'
import { rankFaults } from '../sheets/findFault/calculation'
import { openSearch } from '../sheets/findFault/edits'
import type { FaultSearch } from '../sheets/findFault/model'
import {
  FAULT_TABLE,
  FAULTS,
  type Fault,
  isKnown,
  likelihoodOf,
  minutesOf,
  outcomesOf,
  usualLikelihood,
} from '../sheets/findFault/table'
import type { CheckName, FaultId } from '../sheets/findFault/words'
import { lastChange } from '../sheets/shared/proofs/age'
import type { Observed } from './observed'
import { observedIn } from './observed'
import { type Twin, type Weighed, weighedByFigures } from './twin'

/** An outcome that the ranking rests on. */
export interface Answered {
  check: CheckName
  outcome: string
  /** The sheet whose readings say so; null where the builder said it. */
  from: Observed['from'] | null
}

/** Why a fault is where it is in the ranking. */
export interface Reason {
  check: CheckName
  outcome: string
  /** How many times as often this comes out so with this fault as with the others. */
  times: number
}

export interface Suspect {
  faultId: FaultId
  probability: number
  pointsTo: Reason[]
  speaksAgainst: Reason[]
}

/** A check that could be made next, and what each of its outcomes would mean. */
export interface NextCheck {
  check: CheckName
  minutes: number
  bitsPerMinute: number
  outcomes: { outcome: string; chance: number; faultId: FaultId; probability: number }[]
}

export interface Diagnosis {
  answered: Answered[]
  suspects: Suspect[]
  /** The checks that are left, the one that tells most in a minute first; empty where none can tell anything. */
  next: NextCheck[]
  /** Checks to which the figures leave nothing, and the words do: what the builder sees may be said all the same. */
  besides: NextCheck[]
  /** The fault that is as good as found; null while none is. */
  found: FaultId | null
  /** How likely it is that nothing is wrong; the faults share what is left, as if one of them were at work. */
  soundProbability: number
  /** Whether no check is left to make, and by all of them it is likelier sound than not: nothing is to be loosened. */
  nothingShows: boolean
  /** The check that could still clear the likeliest fault before its part is slackened; null where none is left to make. */
  clearing: CheckName | null
  /** Answers that no single fault gives: two are at work, or one was put down wrongly. */
  contradictory: boolean
}

/** From this probability on a fault is as good as found: going on costs more minutes than looking there. */
export const FOUND_FROM = 0.92
/** So much more or less often than with the others is a reason. */
const REASON_TIMES = 1.5
/** A check that tells less than this is not worth its minutes. */
const LEAST_BITS = 0.002

/**
 * What could still clear a part that is slackened, shimmed or taken out for a fault: a gib that is tight at one end feels like
 * a block or a nut off its line, or ways that are not parallel; a bent screw is heavy all along, as too much preload is.
 */
const CLEARED_BY: Partial<Record<FaultId, CheckName>> = {
  'fixed-block-off': 'gib-slack',
  'far-block-off': 'gib-slack',
  'nut-off-line': 'gib-slack',
  'ways-not-parallel': 'gib-slack',
  'preload-high': 'nut-off',
}

/** The searches that the present one goes on from, oldest first, without it. */
function before(searches: readonly FaultSearch[]): FaultSearch[] {
  const chain: FaultSearch[] = []
  for (let index = searches.length - 1; index > 0 && searches[index]?.carriesOn; index--)
    chain.unshift(searches[index - 1] as FaultSearch)
  return chain
}

/** Faults that cannot be on this drive: no belt to be slack, no coupler to have play, no far block, a motor that knows where it is. */
function impossible(t: EvaluationContext): Set<FaultId> {
  const none = new Set<FaultId>(isBelted(t) ? ['coupler-play'] : ['belt-slack'])
  if (t.axis.ends === 'fixed-free') none.add('far-block-off')
  if (isClosedLoop(t)) none.add('lost-steps')
  return none
}

/**
 * What is wrong with an axis, as far as the builder's answers and the readings tell: the faults ranked, each with its
 * reasons, and the checks that would tell most in a minute. What the builder says goes before what readings say.
 *
 * @param search what was answered; the one that is going on if no other
 * @param twin what this axis would read with each fault: figures weigh by it, besides what they say in words
 */
export function diagnosis(
  t: EvaluationContext,
  search: Pick<FaultSearch, 'answers'> | undefined = openSearch(t.axis),
  twin: Twin | null = null,
): Diagnosis {
  const said = (search?.answers ?? [])
    .filter(isKnown)
    .map(({ check, outcome }): Answered => ({ check: check as CheckName, outcome, from: null }))
  const read = observedIn(t, lastChange(t.axis)?.at ?? null).filter(
    one => !said.some(({ check }) => check === one.check),
  )
  const answered = [...said, ...read]
  const without = new Set<string>([
    ...impossible(t),
    ...before(t.axis.faultSearches).flatMap(({ mended }) => mended ?? []),
  ])
  const faults = FAULTS.filter(({ id }) => !without.has(id))
  const observed = answered.map(({ check, outcome }) => ({ testId: check, outcomeId: outcome }))
  const ranked = rankFaults({ faults, tests: FAULT_TABLE.tests, observed })
  const byWords = withSound(faults, answered, ranked.posteriors)
  const { posteriors, sound } = ofOne(twin ? weighedByFigures(twin, byWords) : byWords)
  // What a check would tell is asked of what all of them make likely together.
  const made = new Set<string>(answered.map(({ check }) => check))
  const gains = twin
    ? rankFaults({
        faults: posteriors.map(({ faultId, probability }) => ({ id: faultId, prior: probability })),
        tests: FAULT_TABLE.tests,
        observed: [],
      }).gains.filter(({ testId }) => !made.has(testId))
    : ranked.gains
  const probabilityOf = new Map(posteriors.map(({ faultId, probability }) => [faultId, probability]))
  const suspects = faults
    .map(({ id }): Suspect => {
      const reasons = answered.map(({ check, outcome }) => ({
        check,
        outcome,
        times: likelihoodOf(check, outcome, id) / usualOf(faults, check, outcome, id),
      }))
      return {
        faultId: id,
        probability: probabilityOf.get(id) ?? 0,
        pointsTo: reasons.filter(({ times }) => times >= REASON_TIMES).toSorted((a, b) => b.times - a.times),
        speaksAgainst: reasons
          .filter(({ times }) => times <= 1 / REASON_TIMES)
          .toSorted((a, b) => a.times - b.times),
      }
    })
    .toSorted((a, b) => b.probability - a.probability)
  const top = suspects[0] as Suspect
  const clears = CLEARED_BY[top.faultId]
  const clearing =
    clears &&
    top.probability >= FOUND_FROM &&
    // A table on rails has no gib.
    (clears !== 'gib-slack' || t.axis.railRounds.length === 0) &&
    !answered.some(({ check }) => check === clears)
      ? clears
      : null
  const found = top.probability >= FOUND_FROM && clearing === null ? top.faultId : null
  const asCheck = ({ testId, bitsPerMinute }: (typeof gains)[number]) =>
    nextCheck(faults, probabilityOf, testId as CheckName, bitsPerMinute, t.axis.ends === 'fixed-free')
  const next = gains
    .filter(({ informationBits, testId }) => informationBits > LEAST_BITS || testId === clearing)
    // What could still clear a part comes before that part is taken out.
    .toSorted(
      (a, b) =>
        Number(b.testId === clearing) - Number(a.testId === clearing) || b.bitsPerMinute - a.bitsPerMinute,
    )
    .map(asCheck)
  const besides = ranked.gains
    .filter(
      ({ informationBits, testId }) =>
        informationBits > LEAST_BITS && !next.some(({ check }) => check === testId),
    )
    .map(asCheck)
  return {
    answered,
    suspects,
    found,
    soundProbability: sound,
    nothingShows: found === null && next.length === 0 && sound >= LIKELIER_THAN_NOT,
    clearing,
    contradictory: answered.some(
      ({ check, outcome }) => check !== 'complaint' && likelihoodOf(check, outcome, top.faultId) < RARE,
    ),
    next,
    besides,
  }
}

/** Of those who complain of an axis so many have a sound one. */
const SOUND_PRIOR = 0.1
/** A complaint says of a sound axis no more than chance: it is one of so many words. */
const COMPLAINTS = outcomesOf('complaint').length
const LIKELIER_THAN_NOT = 0.5

/** A sound axis beside the faults of the table: every check comes out on it as it usually does. */
function withSound(
  faults: readonly Fault[],
  answered: readonly Answered[],
  posteriors: Weighed['posteriors'],
): Weighed {
  const all = (likelihood: (check: string, outcome: string) => number) =>
    answered.reduce((product, { check, outcome }) => product * likelihood(check, outcome), 1)
  const sound =
    SOUND_PRIOR *
    all((check, outcome) => (check === 'complaint' ? 1 / COMPLAINTS : usualLikelihood(check, outcome)))
  const withFault = faults.reduce(
    (sum, { id, prior }) => sum + prior * all((check, outcome) => likelihoodOf(check, outcome, id)),
    0,
  )
  const share = sound / (sound + withFault)
  return {
    posteriors: posteriors.map(({ faultId, probability }) => ({
      faultId,
      probability: probability * (1 - share),
    })),
    sound: share,
  }
}

/** The faults as if one of them were at work, and how likely it is that none is. */
function ofOne({ posteriors, sound }: Weighed): Weighed {
  const sum = posteriors.reduce((of, { probability }) => of + probability, 0)
  return {
    posteriors: posteriors.map(({ faultId, probability }) => ({
      faultId,
      probability: sum > 0 ? probability / sum : 1 / posteriors.length,
    })),
    sound,
  }
}

/** An outcome that comes so rarely with the likeliest fault hardly goes with it; a complaint is but a word. */
const RARE = 0.03

type Faults = readonly { id: FaultId; prior: number }[]

/** How often a check comes out so with the faults beside one. */
function usualOf(faults: Faults, check: CheckName, outcome: string, besides: FaultId): number {
  const others = faults.filter(({ id }) => id !== besides)
  const sum = others.reduce((of, { prior }) => of + prior, 0)
  return others.reduce((of, { id, prior }) => of + prior * likelihoodOf(check, outcome, id), 0) / sum
}

/** What each outcome of a check would mean. */
function nextCheck(
  faults: Faults,
  probabilityOf: ReadonlyMap<string, number>,
  check: CheckName,
  bitsPerMinute: number,
  isFarFree: boolean,
): NextCheck {
  // Where no block stands nothing binds near one.
  const possible = outcomesOf(check).filter(outcome => !isFarFree || outcome !== 'far-end')
  const outcomes = possible.map(outcome => {
    const joint = faults.map(({ id }) => ({
      id,
      share: (probabilityOf.get(id) ?? 0) * likelihoodOf(check, outcome, id),
    }))
    const chance = joint.reduce((sum, { share }) => sum + share, 0)
    const most = joint.reduce((best, one) => (one.share > best.share ? one : best))
    return { outcome, chance, faultId: most.id, probability: chance > 0 ? most.share / chance : 0 }
  })
  return { check, minutes: minutesOf(check), bitsPerMinute, outcomes }
}
