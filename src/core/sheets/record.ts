import { turnsNut } from '../document/axis'
import { DIMENSION_KEYS, DIMENSIONS, GOALS } from '../document/dimensions'
import { NO_TERMS, termsWords } from '../document/fixes'
import type { Job, LogEntry } from '../document/job'
import { linesOfAxis, openFixes } from '../document/logLines'
import { WORK_WORDS } from '../document/work'
import type { PaperBlock, PaperCell } from '../drawing/paper'
import type { EvaluationContext } from '../evaluation/context'
import { STATE_WORDS } from '../evaluation/finding'
import { neededParts } from '../machine/neededParts'
import { goalsAsked, isAsked } from '../machine/stillToMeasure'
import { dayWords, momentWords } from '../units/dateWords'
import { say } from '../units/print'
import { paperOf } from './paper'
import { procedure } from './shared/steps/procedure'

const LINES_OF_LOG = 6
const LONGEST_LINE = 240
const PROVENANCE_MARKS = {
  measured: '',
  sheet: ' (sheet)',
  outside: ' (from outside)',
  planned: ' (as planned)',
  assumed: ' (assumed)',
}

/** What stands under every record. */
export const RECORD_CAUTION =
  'Figures are reckoned from the values above; those marked assumed were not measured. They do not replace a maker’s sheet or the judgement of a qualified engineer. Electrical work and guarding follow local codes.'

/** What the record of an axis is called. */
export const recordTitle = (job: Pick<Job, 'name'>, { axis }: EvaluationContext): string =>
  `${job.name}, axis ${axis.name}: ${axis.title}`

/**
 * The record of an axis on paper: what was found, what was wanted and measured, what it is, what was read, what is still
 * open, and the last of its log.
 *
 * @param entries of the whole job, oldest first
 * @param job what is asked of the fixes that are open
 */
export function recordOf(
  context: EvaluationContext,
  entries: LogEntry[],
  job: Pick<Job, 'fixes'>,
): PaperBlock[] {
  const { axis, catalogue, units, findings } = context
  const own = linesOfAxis(entries, axis.id)
  const fixes = openFixes(own)
  const steps = procedure(context) ?? []
  // What was set by readings and holds has a record of its own.
  const set = findings.filter(({ stage, state }) => stage === 'align' && state === 'holds')
  const open = steps.filter(step => !axis.ticks[step.id])
  const block = (title: string, rows: PaperCell[][], empty: string, half?: true): PaperBlock => ({
    on: 'record',
    title,
    rows,
    empty,
    half,
  })
  const pairs = (title: string, rows: [string, string][]) =>
    block(
      title,
      rows.map(([label, value]) => [label, { strong: value }]),
      '',
      true,
    )
  const done =
    steps.length === 0
      ? turnsNut(axis.drive)
        ? 'The steps for a nut that turns are not listed.'
        : 'No parts chosen.'
      : `${steps.length - open.length} of ${steps.length} steps done.`
  const shortened = (text: string) =>
    text.length > LONGEST_LINE ? `${text.slice(0, LONGEST_LINE - 3)}…` : text
  const read = paperOf(context, 'record')
  const earlier = own.length - LINES_OF_LOG
  return [
    block(
      'Findings',
      [
        ...findings
          .filter(one => !set.includes(one))
          .map(({ title, state, sentence }) => [{ strong: title }, { strong: STATE_WORDS[state] }, sentence]),
        ...(set.length > 0
          ? [
              [
                { strong: 'Set by readings' },
                { strong: STATE_WORDS.holds },
                `${set.map(({ title }) => title.toLowerCase()).join(', ')}: see the alignment record.`,
              ],
            ]
          : []),
      ],
      'None.',
    ),
    pairs(
      'Wanted',
      // A wish that nobody made is none.
      goalsAsked(axis)
        .filter(key => axis.goalsFrom[key] !== 'assumed')
        .map(key => [
          GOALS[key].label,
          say(axis.goals[key], GOALS[key].quantity, units) +
            (axis.goalsFrom[key] === 'usual' && axis.work ? ` (usual for ${WORK_WORDS[axis.work]})` : ''),
        ]),
    ),
    pairs(
      'Measured',
      DIMENSION_KEYS.filter(key => isAsked(axis, key)).map(key => {
        const { value, provenance } = axis.dimensions[key]
        return [
          DIMENSIONS[key].label,
          value === null
            ? 'not known'
            : say(value, DIMENSIONS[key].quantity, units) + PROVENANCE_MARKS[provenance],
        ]
      }),
    ),
    // Narrow ones fill the room beside what was measured.
    pairs('Parts', [
      ...neededParts(axis).map((kind): [string, string] => [
        kind,
        catalogue[kind].get(axis.parts[kind] ?? '')?.name ?? 'not chosen',
      ]),
      ['ends', axis.ends],
      ['built', open[0] && steps.length > 0 ? `${done} Next: ${open[0].title.toLowerCase()}.` : done],
    ]),
    ...read.filter(({ half }) => half),
    ...read.filter(({ half }) => !half),
    block(
      `Temporary fixes still open: ${fixes.length}`,
      fixes.map(({ id, at, text }) => {
        const until = termsWords(job.fixes[id] ?? NO_TERMS)
        return [dayWords(at), until ? `${text} (${until})` : text]
      }),
      'None.',
    ),
    block(
      'Log, latest first',
      [
        ...own
          .toReversed()
          .slice(0, LINES_OF_LOG)
          .map(({ at, text }) => [momentWords(at), shortened(text)]),
        ...(earlier > 0 ? [['', `and ${earlier} earlier lines in the job file`]] : []),
      ],
      'Empty.',
    ),
  ]
}
