import { isBelted } from '../../machine/drive/transmission'
import { evaluateAxis } from '../../sheets/evaluateAxis'
import { FAULTS, minutesOf } from '../../sheets/findFault/table'
import {
  CHECK_WORDS,
  type CheckName,
  FAULT_WORDS,
  type FaultId,
  outcomeWords,
} from '../../sheets/findFault/words'
import { Search, type SearchStep, searchByTheSheet } from '../../trial/faultSearch'
import { drawTrial, type Trial } from '../../trial/trial'

// "Find it": a machine with a hidden fault. One asks for checks, each of which costs its minutes, and names the fault.

/** A check that can be asked for. */
export interface AskedCheck {
  readonly check: CheckName
  readonly title: string
  readonly how: string
  readonly minutes: number
}
/** A hidden fault to be found, as far as it is told. */
export interface SearchExercise {
  readonly seed: number
  /** What machine it is. */
  readonly kind: string
  /** What is wrong with it, in its builder's words. */
  readonly complaint: string
  readonly checks: readonly AskedCheck[]
  /** What it may be, by name. */
  readonly faults: readonly { readonly id: FaultId; readonly name: string }[]
}
/** A check that was made, in words. */
export interface StepTold {
  readonly check: CheckName
  readonly title: string
  readonly outcome: string
  readonly minutes: number
  /** What is likeliest after it, and how likely. */
  readonly likeliest: string
  readonly probability: number
}
export interface SearchVerdict {
  readonly wasRight: boolean
  readonly named: string
  readonly fault: string
  /** What is done about it. */
  readonly mend: string
  readonly minutes: number
  readonly bestMinutes: number
  readonly way: readonly StepTold[]
  readonly best: readonly StepTold[]
}

/** An exercise is drawn again until somebody who goes by the sheet finds what it hides. */
const MOST_DRAWS = 200
/** Draws of one exercise do not run into those of the next. */
const APART = 1000

interface Drawn {
  readonly trial: Trial
  readonly best: Search
}

/** The machine of an exercise, with the way that the sheet goes. @throws RangeError where none can be drawn */
function draw(seed: number): Drawn {
  for (let tries = 0; tries < MOST_DRAWS; tries++) {
    const trial: Trial = { ...drawTrial(APART * seed + tries), slip: null }
    if (trial.faults.length !== 1) continue
    const best = searchByTheSheet(trial)
    if (best.diagnosis.found === trial.faults[0] && best.steps.length >= LEAST_CHECKS) return { trial, best }
  }
  throw new RangeError(`find it: got the exercise ${seed}, of which no machine can be drawn`)
}
/** A fault that the complaint alone gives away is no exercise. */
const LEAST_CHECKS = 2

/** The exercise in hand is asked after each check: it is drawn once. */
const drawn = (seed: number): Drawn => {
  if (last?.seed !== seed) last = { seed, ...draw(seed) }
  return last
}
let last: (Drawn & { readonly seed: number }) | undefined

/** A hidden fault, the same for the same seed. */
export function searchExercise(seed: number): SearchExercise {
  const { trial, best } = drawn(seed)
  const { next } = new Search(trial).diagnosis
  // Belt or coupler: what cannot be on this drive is not asked about.
  const t = evaluateAxis(trial.axis, trial.catalogue, trial.job.units)
  const not: FaultId = isBelted(t) ? 'coupler-play' : 'belt-slack'
  const all = new Set<CheckName>([...next, ...best.steps].map(({ check }) => check))
  return {
    seed,
    kind: trial.kind,
    complaint: outcomeWords('complaint', best.complaint),
    // In the order of the table: which tells most is for the learner to find.
    checks: CHECKS.filter(check => all.has(check)).map(check => {
      const { title, how } = CHECK_WORDS[check]
      return { check, title, how, minutes: minutesOf(check) }
    }),
    faults: FAULTS.filter(({ id }) => id !== not)
      .map(({ id }) => ({ id, name: FAULT_WORDS[id].name }))
      .toSorted((a, b) => a.name.localeCompare(b.name)),
  }
}

const CHECKS = Object.keys(CHECK_WORDS) as CheckName[]

/** How checks come out on the machine of an exercise, one after the other. */
export const madeChecks = (seed: number, checks: readonly CheckName[]): StepTold[] =>
  made(drawn(seed).trial, checks).steps.map(told)

function made(trial: Trial, checks: readonly CheckName[]): Search {
  const search = new Search(trial)
  for (const check of checks) search.make(check)
  return search
}

const told = ({ check, outcome, minutes, likeliest, probability }: SearchStep): StepTold => ({
  check,
  title: CHECK_WORDS[check].title,
  outcome: outcomeWords(check, outcome),
  minutes,
  likeliest: FAULT_WORDS[likeliest].name,
  probability,
})

/** What becomes of a search that ends with a fault being named. */
export function searchVerdict(seed: number, checks: readonly CheckName[], named: FaultId): SearchVerdict {
  const { trial, best } = drawn(seed)
  const way = made(trial, checks)
  const fault = trial.faults[0] as FaultId
  const words = FAULT_WORDS[fault]
  return {
    wasRight: named === fault,
    named: FAULT_WORDS[named].name,
    fault: words.name,
    mend: words.mend,
    minutes: way.minutes,
    bestMinutes: best.minutes,
    way: way.steps.map(told),
    best: best.steps.map(told),
  }
}
