import type { Acceptance } from '../document/acceptance'
import type { Axis } from '../document/axis'
import { type Fixes, NO_TERMS, termsWords } from '../document/fixes'
import type { Job, LogEntry } from '../document/job'
import { linesOfAxis, openFixes } from '../document/logLines'
import type { EvaluationContext } from '../evaluation/context'
import { type Finding, type Measure, STATE_WORDS, type State } from '../evaluation/finding'
import type { SheetId } from '../sheets'
import { type CheckId, sheetOf } from '../sheets'
import { wayWord } from '../sheets/fullTest/course'
import { fullFigures, oddStops } from '../sheets/fullTest/figures'
import { lastChange } from '../sheets/shared/proofs/age'
import { type Comparison, compareTests } from '../sheets/shared/proofs/compare'
import { conditionsWords } from '../sheets/shared/proofs/conditions'
import { sameManner } from '../sheets/shared/proofs/manner'
import { isPractice } from '../sheets/shared/proofs/practice'
import { say } from '../units/print'
import { type Reproof, reproofsOf } from './reproofs'
import { type PlanLine, upkeepPlan } from './upkeepPlan'

// What is handed over with a machine: what was wanted of each axis, what it came to and how sure that is, and what is open.

/** What an axis is held to when it is accepted: the check, and whether nobody would take it without. */
const HELD_TO: readonly { checkId: CheckId; sheet: SheetId; must?: true }[] = [
  { checkId: 'prove.reversal', sheet: 'reversal', must: true },
  { checkId: 'prove.accuracy', sheet: 'fullTest', must: true },
  { checkId: 'prove.fullReversal', sheet: 'fullTest' },
  { checkId: 'prove.pushPull', sheet: 'pushPull' },
  { checkId: 'prove.whereLost', sheet: 'whereLost' },
  { checkId: 'prove.slowFast', sheet: 'slowFast' },
  { checkId: 'prove.coldWarm', sheet: 'slowFast' },
  { checkId: 'prove.steps', sheet: 'lostSteps' },
  { checkId: 'prove.scale', sheet: 'scale' },
  { checkId: 'prove.circleSquare', sheet: 'circle' },
  { checkId: 'prove.cutSquare', sheet: 'circle' },
  { checkId: 'prove.circleScale', sheet: 'circle' },
  { checkId: 'align.square', sheet: 'square' },
]
const SQUARENESS: readonly string[] = ['align.square', 'prove.circleSquare', 'prove.cutSquare']

/** One figure of an axis: what was wanted, what it is with its uncertainty, and how it was read. */
export interface AcceptedResult {
  checkId: CheckId
  title: string
  state: State
  /** What was found, with what it is uncertain by; null while it is not known. */
  figure: Measure | null
  target: Measure | null
  /** The same in words, with the advice. */
  sentence: string
  test: string
  at: string | null
  conditions: string
}

/** A full test as it is handed over: its figures by the letters of ISO 230-2, and what each target came to. */
export interface FullTestAccepted {
  test: string
  runs: number
  figures: { letter: string; what: string; um: number }[]
  deviations: { targetMm: number; upUm: number; downUm: number; reversalUm: number }[]
  /** What was not counted, in words. */
  notCounted: string[]
}

/** An axis as it is handed over. */
export interface AcceptedAxis {
  axisId: string
  name: string
  title: string
  results: AcceptedResult[]
  /** The last full test by ISO 230-2, with its deviations; null while there is none that is read. */
  full: FullTestAccepted | null
  /** The first test against the last, both taken alike; null while there is but one. */
  change: (Comparison & { before: string; beforeAt: string; after: string; afterAt: string }) | null
  open: string[]
}

/** A machine as it is handed over. */
export interface AcceptanceSheet {
  machine: string
  machineKind: Job['machineKind']
  units: Job['units']
  terms: Acceptance
  axes: AcceptedAxis[]
  /** What concerns the machine as a whole and is not settled. */
  open: string[]
  reproofs: Reproof[]
  upkeep: PlanLine[]
  /** Fixes for the time being that concern safety: nobody takes the machine over while there are any. */
  blockedBy: string[]
  /** Whether every axis holds what it must and nothing is open. */
  isComplete: boolean
}

/** How what a check is about was read last: which test, when, and under which conditions. */
function sourceOf(
  axis: Axis,
  checkId: CheckId,
  units: Job['units'],
): Pick<AcceptedResult, 'test' | 'at' | 'conditions'> {
  const of = (test: { label?: string; startedAt: string } | undefined, name: string, conditions = '') => ({
    test: test?.label ?? (test ? name : ''),
    at: test?.startedAt ?? null,
    conditions,
  })
  const reversal = axis.tests.at(-1)
  const full = axis.fullTests.at(-1)
  switch (checkId) {
    case 'prove.reversal':
    case 'prove.slowFast':
    case 'prove.coldWarm':
      return of(reversal, '', reversal && conditionsWords(reversal, units))
    case 'prove.accuracy':
    case 'prove.fullReversal':
      return of(full, '', full && conditionsWords({ warmth: null, ...full }, units))
    case 'prove.pushPull':
      return of(axis.pushRounds.at(-1), `Push and pull, round ${axis.pushRounds.length}`)
    case 'prove.whereLost':
      return of(axis.lostRounds.at(-1), `Five places, round ${axis.lostRounds.length}`)
    case 'prove.steps':
      return of(axis.returnRounds.at(-1), `Returns to zero, round ${axis.returnRounds.length}`)
    case 'prove.scale':
      return of(axis.scaleRounds.at(-1), `Scale, round ${axis.scaleRounds.length}`)
    case 'align.square':
      return of(axis.squareRounds.at(-1), `Square, round ${axis.squareRounds.length}`)
    default:
      return of(axis.circleRounds.at(-1), `Cut part, round ${axis.circleRounds.length}`)
  }
}

const BESIDE = {
  gaugeErrorUm: 'the error of the gauge',
  temperatureK: 'warmth of scale and screw',
  outOfLineDeg: 'a gauge that leans',
  settingUpUm: 'setting up anew',
} as const

/** The last full test in full; null while it is not read, or was read before the last change. */
function fullOf(context: EvaluationContext): FullTestAccepted | null {
  const { axis, units } = context
  const test = axis.fullTests.at(-1)
  const since = lastChange(axis)?.at ?? null
  if (!test || test.gaugeStepUm === null || (since !== null && test.startedAt < since)) return null
  const found = fullFigures(context, test, test.gaugeStepUm)
  if (!found) return null
  const unread = test.targets.length - found.targets.length
  const odd = oddStops(test)
  return {
    test: test.label,
    runs: test.runs,
    figures: [
      { letter: 'A', what: 'accuracy, both ways', um: found.accuracyUm },
      { letter: 'R', what: 'repeatability, both ways', um: found.repeatabilityUm },
      { letter: 'R+', what: 'repeatability upward', um: found.repeatabilityPositiveUm },
      { letter: 'R-', what: 'repeatability downward', um: found.repeatabilityNegativeUm },
      { letter: 'B', what: 'reversal, the largest', um: Math.abs(found.reversalUm) },
      { letter: 'B mean', what: 'reversal, mean', um: Math.abs(found.meanReversalUm) },
      { letter: 'E', what: 'systematic deviation, both ways', um: found.systematicDeviationUm },
      { letter: 'M', what: 'range of the mean deviation', um: found.meanDeviationRangeUm },
    ],
    deviations: found.stations.map(({ target, up, down, reversalUm }) => ({
      targetMm: target.targetMm,
      upUm: up.mean,
      downUm: down.mean,
      reversalUm,
    })),
    notCounted: [
      ...test.shifts.map(
        ({ run, way, byUm }) =>
          `A jump of ${say(Math.abs(byUm), 'smallLength', units)}, from run ${run + 1} going ${wayWord(way)} on.`,
      ),
      ...(unread > 0
        ? [
            `${unread} ${unread === 1 ? 'target' : 'targets'} that ${unread === 1 ? 'is' : 'are'} not read twice from both sides.`,
          ]
        : []),
      ...(odd.length > 0
        ? [
            `Nothing is left out: ${odd.length} of its readings ${odd.length === 1 ? 'stands' : 'stand'} apart, and ${odd.length === 1 ? 'is' : 'are'} in these figures.`,
          ]
        : []),
      ...Object.entries(BESIDE).flatMap(([key, what]) =>
        axis.uncertainty[key as keyof typeof BESIDE] === null ? [`In the uncertainty: ${what}.`] : [],
      ),
    ],
  }
}

/** The first test of an axis that was taken as its last one was, against that, where most was lost. */
function changeOf({ tests }: Axis): AcceptedAxis['change'] {
  const last = tests.at(-1)
  const first = last && tests.find(one => one !== last && sameManner(one, last))
  if (!first || !last) return null
  const worst = compareTests(first, last).toSorted((a, b) => b.beforeUm - a.beforeUm)[0]
  return worst
    ? { ...worst, before: first.label, beforeAt: first.startedAt, after: last.label, afterAt: last.startedAt }
    : null
}

/** All that is still open: of each axis, with its name, then of the machine as a whole. */
export const openPoints = ({ axes, open }: Pick<AcceptanceSheet, 'axes' | 'open'>): string[] => [
  ...axes.flatMap(({ name, open: points }) => points.map(point => `${name}: ${point}`)),
  ...open,
]

/** What both agreed is still to be done, as it stands among the open points. */
export const agreedPoints = ({ points }: Acceptance): string[] =>
  points.filter(({ what }) => what !== '').map(({ what, byDay }) => (byDay ? `${what} (by ${byDay})` : what))

/** How the state of a result is said: what nobody tested is not just not known. */
export const stateWords = ({ at, state }: Pick<AcceptedResult, 'at' | 'state'>): string =>
  at === null ? 'Not tested' : STATE_WORDS[state]

/** What was read before something was mended says nothing of the machine that is handed over. */
const ifStill = (result: AcceptedResult, since: string | null): AcceptedResult =>
  since === null || result.at === null || result.at > since
    ? result
    : { ...result, state: 'unknown', figure: null, sentence: 'Read before the last change: read it again.' }

const inLine = (sentence: string) => sentence.split(/(?<=[.!?]) /)[0] ?? sentence

/** What is still open on an axis: what fails or is not known, what nobody tested, and fixes for the time being. */
function openOf(
  axis: Axis,
  results: readonly AcceptedResult[],
  others: readonly Finding[],
  entries: LogEntry[],
  fixes: Fixes,
): string[] {
  const practised = [axis.tests.at(-1), axis.fullTests.at(-1)].flatMap(test =>
    test && isPractice(test)
      ? [`“${test.label}” was read from a made-up gauge: test the machine itself.`]
      : [],
  )
  return [
    ...results.flatMap(({ title, state, sentence, at }) =>
      at === null ? [`${title}: not tested.`] : state === 'holds' ? [] : [`${title}: ${inLine(sentence)}`],
    ),
    ...others.map(({ title, sentence }) => `${title} fails: ${inLine(sentence)}`),
    ...practised,
    ...openFixes(linesOfAxis(entries, axis.id))
      .filter(({ axisId }) => axisId === axis.id)
      .map(fix => forNow(fix, fixes)),
  ]
}

/** An open fix among the open points, with when it is to be mended. */
function forNow({ id, text }: LogEntry, fixes: Fixes): string {
  const until = termsWords(fixes[id] ?? NO_TERMS)
  return `For the time being: ${text}${until && ` (${until})`}`
}

/** An axis as it is handed over. */
function acceptedAxis(context: EvaluationContext, entries: LogEntry[], fixes: Fixes): AcceptedAxis {
  const { axis, units } = context
  const since = lastChange(axis)?.at ?? null
  const results = HELD_TO.flatMap(({ checkId, sheet, must }): AcceptedResult[] => {
    const finding = context.finding(checkId)
    const source = sourceOf(axis, checkId, units)
    if (finding)
      return [
        ifStill(
          {
            checkId,
            title: finding.title,
            state: finding.state,
            figure: finding.figure,
            target: finding.limit,
            sentence: finding.sentence,
            ...source,
          },
          since,
        ),
      ]
    return must
      ? [
          {
            checkId,
            title: sheetOf(sheet).title,
            state: 'unknown',
            figure: null,
            target: null,
            sentence: 'Not tested.',
            test: '',
            at: null,
            conditions: '',
          },
        ]
      : []
  })
  const held = new Set<string>(HELD_TO.map(({ checkId }) => checkId))
  const others = context.findings.filter(({ checkId, state }) => state === 'fails' && !held.has(checkId))
  return {
    axisId: axis.id,
    name: axis.name,
    title: axis.title,
    results,
    full: fullOf(context),
    change: changeOf(axis),
    open: openOf(axis, results, others, entries, fixes),
  }
}

/**
 * A machine as it is handed over: the results of every axis with their uncertainty, targets and conditions, before and after,
 * and what is still open.
 *
 * @param evaluate the evaluation of an axis, held to every check
 * @param entries the log of the job, oldest first
 */
export function acceptanceOf(
  job: Pick<Job, 'name' | 'machineKind' | 'units' | 'acceptance' | 'axes' | 'fixes' | 'upkeep'>,
  evaluate: (axis: Axis) => EvaluationContext,
  entries: LogEntry[],
): AcceptanceSheet {
  const axes = job.axes.map(axis => acceptedAxis(evaluate(axis), entries, job.fixes))
  const measured = axes.flatMap(({ results }) =>
    results.filter(({ checkId }) => SQUARENESS.includes(checkId)),
  )
  const fixes = openFixes(entries.filter(({ hidden }) => !hidden))
  const open = [
    ...(axes.length > 1 && !measured.some(({ figure }) => figure !== null)
      ? [
          'How square the axes stand to each other is not measured: Square under Align, or Circle and square under Prove.',
        ]
      : []),
    ...fixes.filter(({ axisId }) => axisId === null).map(fix => forNow(fix, job.fixes)),
    ...agreedPoints(job.acceptance),
  ]
  return {
    machine: job.name,
    machineKind: job.machineKind,
    units: job.units,
    terms: job.acceptance,
    axes,
    open,
    reproofs: reproofsOf(job),
    upkeep: upkeepPlan(job, evaluate),
    blockedBy: fixes.filter(({ id }) => job.fixes[id]?.isSafety).map(({ text }) => text),
    isComplete: openPoints({ axes, open }).length === 0,
  }
}
