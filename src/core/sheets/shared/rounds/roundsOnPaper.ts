import type { PaperBlock } from '../../../drawing/paper'
import type { EvaluationContext } from '../../../evaluation/context'
import type { Field, Fields } from '../../../field/field'
import { dayWords, momentWords } from '../../../units/dateWords'
import { say } from '../../../units/print'
import type { Round } from './model'
import { cameTo, type Rounds, stationsOf } from './rounds'

/** What every round has beside what its own sheet reads. */
const COMMON = ['startedAt', 'finishedAt', 'done', 'taken', 'closedWith', 'stations']

/**
 * The rounds of a sheet for the alignment record: when, what they came to, what was done before, all that was set up and read.
 * Nothing where none was begun.
 */
export function roundsOnPaper<R extends Round>(rounds: Rounds<R>, context: EvaluationContext): PaperBlock[] {
  const { axis, units } = context
  const all = rounds.pick(axis)
  if (all.length === 0) return []
  const cell = (field: Field, value: unknown): string =>
    field.is === 'number'
      ? say(value as number, field.quantity, units)
      : field.is === 'choice'
        ? (field.words?.[value as string] ?? String(value))
        : String(value)
  const cells = (of: Fields, values: Record<string, unknown>, named: boolean): string[] =>
    Object.entries(of).flatMap(([key, field]) => {
      const value = values[key]
      if (value === null || value === undefined || COMMON.includes(key)) return []
      if (key === 'screw' && axis.drive.screws !== 2) return []
      return [named ? `${field.label} ${cell(field, value)}` : cell(field, value)]
    })
  const stations = stationsOf(rounds).of
  const heads = Object.values(stations).map(({ label }) => label.toLowerCase())
  return [
    {
      on: 'align',
      title: rounds.about,
      empty: 'None yet.',
      rows: all.map((round, index) => [
        { strong: `Round ${index + 1}`, note: momentWords(round.startedAt) },
        {
          strong: cameToWords(rounds, context, round),
          text: round.done ? `after: ${round.done}` : '',
          note: cells(rounds.of.of, round as unknown as Record<string, unknown>, true).join('; '),
        },
        [
          heads.length > 0 && `${heads.join(' / ')}:`,
          (round.stations as unknown as Record<string, unknown>[])
            .map(station => cells(stations, station, false).join(' / '))
            .join('; '),
        ]
          .filter(Boolean)
          .join(' '),
      ]),
    },
  ]
}

/** What a round came to, in a few words. */
function cameToWords<R extends Round>(rounds: Rounds<R>, context: EvaluationContext, round: R): string {
  const worst = cameTo(rounds, context, round)
  return worst ? `${rounds.worstWords} ${say(worst.value, worst.quantity, context.units)}` : 'not read'
}

/** The rounds of a sheet for the record of an axis, each in a line: when, and what it came to. */
export function roundsInShort<R extends Round>(rounds: Rounds<R>, context: EvaluationContext): PaperBlock[] {
  const all = rounds.pick(context.axis)
  if (all.length === 0) return []
  const rows = all.map(round => [dayWords(round.startedAt), cameToWords(rounds, context, round)])
  return [{ on: 'record', title: rounds.about, rows, empty: 'None yet.', half: true }]
}
