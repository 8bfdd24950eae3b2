import { REPROOF_WORDS } from '../document/acceptanceEdits'
import type { Measure } from '../evaluation/finding'
import type { Table } from '../formats/workbook'
import { say } from '../units/print'
import { quantityFacts, type UnitSystem } from '../units/quantity'
import { type AcceptanceSheet, type FullTestAccepted, stateWords } from './acceptanceOf'

// The acceptance as files that other programs read.

/**
 * The acceptance as JSON: figures in base units, each with its quantity.
 *
 * @param madeAt when it was written, as a moment
 */
export const acceptanceJson = (sheet: AcceptanceSheet, madeAt: string): string =>
  `${JSON.stringify({ format: 'dusk-bench-acceptance', version: 1, madeAt, ...sheet }, null, 1)}\n`

const MICROMETRES = { quantity: 'smallLength', value: 0 } as const
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

/** The results and what is open as a table, in the units of the job. */
export function acceptanceTable({
  machine,
  axes,
  open,
  terms,
  reproofs,
  upkeep,
  units,
}: AcceptanceSheet): Table {
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
  const ofFull = (axis: string, { test }: FullTestAccepted, what: string, um: number, conditions: string) => {
    const { unit } = quantityFacts('smallLength')[units]
    return [axis, what, shown(um, MICROMETRES, units), null, null, unit, '', '', test, '', conditions]
  }
  return {
    name: `Acceptance ${machine}`,
    fields: HEADS,
    rows: [
      ...axes.flatMap(({ name, results, full, open: points }) => [
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
        ...(full
          ? [
              ...full.figures.map(({ letter, what, um }) =>
                ofFull(
                  name,
                  full,
                  `${letter}, ${what}`,
                  um,
                  `${full.deviations.length} targets, ${full.runs} runs each way`,
                ),
              ),
              ...full.deviations.flatMap(({ targetMm, upUm, downUm }) => {
                const at = `mean deviation at ${say(targetMm, 'length', units, 2)}`
                return [
                  ofFull(name, full, `${at}, going up`, upUm, ''),
                  ofFull(name, full, `${at}, going down`, downUm, ''),
                ]
              }),
              ...full.notCounted.map(what => blank(name, 'not counted', what)),
            ]
          : []),
        ...points.map(point => blank(name, 'open point', point)),
      ]),
      ...(terms.serialNumber ? [blank('', 'serial number', terms.serialNumber)] : []),
      ...open.map(point => blank('', 'open point', point)),
      ...(terms.acceptedDay ? [blank('', 'accepted on', terms.acceptedDay)] : []),
      ...upkeep.map(({ what, every, next }) =>
        blank('', 'upkeep', `${what}; every ${every}; ${next ?? 'no day yet'}`),
      ),
      ...reproofs.map(({ kind, dueDay, doneDay }) =>
        blank('', REPROOF_WORDS[kind].toLowerCase(), doneDay ? `done ${doneDay}` : (dueDay ?? 'no day yet')),
      ),
    ],
  }
}
