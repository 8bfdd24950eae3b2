import { type Outcome, SHEETS_TRIED, type Tried, type WholeOutcome } from './builder'
import type { SearchOutcome } from './faultSearch'
import type { Trial } from './trial'

/** A table as text: its heads, and a row for each thing. */
export interface SummaryTable {
  readonly title: string
  readonly heads: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

const share = (part: number, of: number) => (of === 0 ? '–' : `${part} of ${of}`)
const sum = <T>(all: readonly T[], figure: (one: T) => number) => all.reduce((so, one) => so + figure(one), 0)
const count = <T>(all: readonly T[], is: (one: T) => boolean) => all.filter(is).length
const mean = (all: readonly number[]) =>
  all.length === 0 ? '–' : (sum(all, one => one) / all.length).toFixed(1)

const SHEETS = Object.keys(SHEETS_TRIED) as Tried[]

/** By sheet, of hands that slip nowhere: what it finds, what it does, and what it lets through. */
function bySheet(outcomes: readonly Outcome[]): SummaryTable {
  const straight = outcomes.filter(({ slip }) => slip === null)
  return {
    title: 'By sheet, read without a slip',
    heads: [
      'Sheet',
      'Its faults seen',
      'named first',
      'right in the end',
      'Orders: better',
      'no different',
      'worse',
      'Right ones set',
      'Right ones failed',
      'Right ones stopped',
      'False proofs',
      'Rounds',
      'Minutes',
    ],
    rows: SHEETS.map(sheet => {
      const of = straight.filter(one => one.sheet === sheet)
      const about = of.filter(({ isAbout }) => isAbout)
      const others = of.filter(({ isAbout }) => !isAbout)
      const right = of.filter(({ wasRight }) => wasRight)
      const ordered = about.filter(({ named }) => named !== null)
      return [
        sheet,
        share(
          count(about, ({ first }) => first === 'fails'),
          about.length,
        ),
        share(
          count(ordered, ({ named }) => named === true),
          ordered.length,
        ),
        share(
          count(about, ({ last, falseProof }) => last === 'holds' && !falseProof),
          about.length,
        ),
        String(sum(of, ({ better }) => better)),
        String(sum(of, ({ same }) => same)),
        String(sum(of, ({ worse }) => worse)),
        share(
          count(others, ({ touchedSound }) => touchedSound),
          others.length,
        ),
        share(
          count(right, ({ first }) => first === 'fails'),
          right.length,
        ),
        share(
          count(right, ({ first }) => first === 'unknown' || first === 'close'),
          right.length,
        ),
        share(
          count(of, ({ falseProof }) => falseProof),
          of.length,
        ),
        mean(of.map(({ rounds }) => rounds)),
        mean(of.map(({ minutes }) => minutes)),
      ]
    }),
  }
}

/** One row for each value of something of an outcome: the orders and proofs that went wrong. */
function wrongBy(
  title: string,
  head: string,
  outcomes: readonly Outcome[],
  of: (one: Outcome) => string,
): SummaryTable {
  return {
    title,
    heads: [head, 'Tried', 'Orders', 'worse', 'Right ones set', 'False proofs', 'Asked first'],
    rows: [...new Set(outcomes.map(of))].toSorted().map(value => {
      const those = outcomes.filter(one => of(one) === value)
      return [
        value,
        String(those.length),
        String(sum(those, ({ better, same, worse }) => better + same + worse)),
        String(sum(those, ({ worse }) => worse)),
        String(count(those, ({ touchedSound }) => touchedSound)),
        String(count(those, ({ falseProof }) => falseProof)),
        share(
          count(those, ({ first }) => first === 'unknown'),
          those.length,
        ),
      ]
    }),
  }
}

function searches(found: readonly SearchOutcome[]): SummaryTable {
  return {
    title: 'Find the fault, answered as hands and gauge tell',
    heads: ['Fault', 'Searches', 'found', 'another named', 'none named', 'Checks', 'Minutes'],
    rows: [...new Set(found.map(({ fault }) => fault))].toSorted().map(fault => {
      const those = found.filter(one => one.fault === fault)
      return [
        fault,
        String(those.length),
        String(count(those, one => one.found === fault)),
        String(count(those, one => one.found !== null && one.found !== fault)),
        String(count(those, one => one.found === null)),
        mean(those.map(({ checks }) => checks)),
        mean(those.map(({ minutes }) => minutes)),
      ]
    }),
  }
}

/** Axes that were taken through all sheets, one after the other. */
function throughAll(wholes: readonly WholeOutcome[]): SummaryTable {
  const kinds: readonly (readonly [string, (one: WholeOutcome) => boolean])[] = [
    ['sound, no slip', ({ faults, slip }) => faults.length === 0 && slip === null],
    ['a fault, no slip', ({ faults, slip }) => faults.length > 0 && slip === null],
    ['a slip', ({ slip }) => slip !== null],
  ]
  return {
    title: 'Through all sheets, one after the other',
    heads: [
      'Axes',
      'Tried',
      'right in the end',
      'of them all holds',
      'not right, and all holds',
      'Orders that made it worse',
      'Sheets open',
      'Minutes',
    ],
    rows: kinds.map(([words, is]) => {
      const those = wholes.filter(is)
      const right = those.filter(({ wrong }) => wrong.length === 0)
      return [
        words,
        String(those.length),
        share(right.length, those.length),
        share(
          count(right, ({ open }) => open.length === 0),
          right.length,
        ),
        String(count(those, ({ wrong, open }) => wrong.length > 0 && open.length === 0)),
        String(sum(those, ({ worse }) => worse)),
        mean(those.map(({ open }) => open.length)),
        mean(those.map(({ minutes }) => minutes)),
      ]
    }),
  }
}

/**
 * What all trials came to: by sheet, by kind of machine, by fault, by slip, the searches, and through all sheets; outcomes of axes with two
 * faults stand by themselves.
 */
export function summaryOf(
  outcomes: readonly Outcome[],
  found: readonly SearchOutcome[],
  ofTwo: readonly Outcome[],
  wholes: readonly WholeOutcome[],
): SummaryTable[] {
  const straight = outcomes.filter(({ slip }) => slip === null)
  return [
    bySheet(outcomes),
    wrongBy('By kind of machine, without a slip', 'Machine', straight, ({ kind }) => kind),
    wrongBy('By what is wrong, without a slip', 'Fault', straight, ({ faults }) => faults[0] ?? 'nothing'),
    wrongBy('By slip of the hand', 'Slip', outcomes, ({ slip }) => slip ?? 'none'),
    searches(found),
    throughAll(wholes),
    { ...bySheet(ofTwo), title: 'Two faults at once, read without a slip' },
  ]
}

/** Whether something went wrong that a builder would mind, and how much: an order that makes it worse goes first. */
export const wrongOf = ({ worse, falseProof, touchedSound }: Outcome): number =>
  worse > 0 ? 3 : falseProof ? 2 : touchedSound ? 1 : 0

/** Why, in a few words. */
export const wrongWords = (one: Outcome): string =>
  [
    one.worse > 0 && `${one.worse} ${one.worse === 1 ? 'order makes' : 'orders make'} it worse`,
    one.falseProof && 'said to hold while it does not',
    one.touchedSound && 'right, and still set',
  ]
    .filter(Boolean)
    .join(', ')

/** What is truly wrong with an axis, and what became of it, in two lines. */
export function truthWords({ seed, kind, faults, slip, causes }: Trial, outcome: Outcome): string {
  const wrong = faults.length === 0 ? 'nothing is wrong' : `${faults.join(', ')}: ${JSON.stringify(causes)}`
  const after = wrongWords(outcome)
  return `Axis ${seed} (${kind}): ${wrong}; ${slip ? `the first readings have a slip, ${slip}` : 'read without a slip'}.
${outcome.sheet}: ${outcome.first ?? 'nothing'} at first, ${outcome.last ?? 'nothing'} after ${outcome.rounds} rounds${after && `; ${after}`}.`
}
