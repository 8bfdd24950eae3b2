import { REPROOF_WORDS } from '../document/acceptanceEdits'
import type { Measure } from '../evaluation/finding'
import { type CsvStyle, writeCsv } from '../formats/csv'
import { quantityFacts, type UnitSystem } from '../units/quantity'
import { type AcceptanceSheet, stateWords } from './acceptanceOf'

// The acceptance as files that other programs read.

/**
 * The acceptance as JSON: figures in base units, each with its quantity.
 *
 * @param madeAt when it was written, as a moment
 */
export const acceptanceJson = (sheet: AcceptanceSheet, madeAt: string): string =>
  `${JSON.stringify({ format: 'dusk-bench-acceptance', version: 1, madeAt, ...sheet }, null, 1)}\n`

const HEADS = [
  'axis',
  'what',
  'result',
  'uncertainty at 95 %',
  'accepted',
  'unit',
  'state',
  'said',
  'test',
  'read at',
  'conditions',
]

/** A figure in the units that are shown, as finely as they are printed. */
const shown = (value: number, { quantity }: Measure, units: UnitSystem): number => {
  const { perUnit, decimals } = quantityFacts(quantity)[units]
  return Number((value / perUnit).toFixed(decimals + 1))
}

/** The results and what is open as lines for a spreadsheet, in the units of the job. */
export function acceptanceCsv(
  { axes, open, terms, reproofs, units }: AcceptanceSheet,
  style: CsvStyle,
): string {
  const blank = (axis: string, what: string, said: string) => [
    axis,
    what,
    '',
    '',
    '',
    '',
    '',
    said,
    '',
    '',
    '',
  ]
  return writeCsv(
    HEADS,
    [
      ...axes.flatMap(({ name, results, open: points }) => [
        ...results.map(({ title, figure, target, state, sentence, test, at, conditions }) => [
          name,
          title,
          figure && shown(figure.value, figure, units),
          figure?.expanded === undefined ? null : shown(figure.expanded, figure, units),
          target && shown(target.value, target, units),
          figure ? quantityFacts(figure.quantity)[units].unit : '',
          stateWords({ at, state }).toLowerCase(),
          sentence,
          test,
          at ?? '',
          conditions,
        ]),
        ...points.map(point => blank(name, 'open point', point)),
      ]),
      ...open.map(point => blank('', 'open point', point)),
      ...(terms.acceptedDay ? [blank('', 'accepted on', terms.acceptedDay)] : []),
      ...reproofs.map(({ kind, dueDay, doneDay }) =>
        blank('', REPROOF_WORDS[kind].toLowerCase(), doneDay ? `done ${doneDay}` : (dueDay ?? 'no day yet')),
      ),
    ],
    style,
  )
}
