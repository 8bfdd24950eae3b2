import type { EvaluationContext } from '../evaluation/context'
import type { Field } from '../field/field'
import { type Round, type Rounds, stationsOf } from '../machine/align/rounds'
import { momentWords } from '../units/dateWords'
import { say } from '../units/print'
import type { PaperBlock } from './paper'

/** The rounds of a sheet for the record: when, what was read, what it came to, what was done before. Nothing where none was begun. */
export function roundsOnPaper<R extends Round>(rounds: Rounds<R>, context: EvaluationContext): PaperBlock[] {
  const { axis, units } = context
  const all = rounds.pick(axis)
  if (all.length === 0) return []
  const fields = stationsOf(rounds).of
  const cell = (field: Field, value: unknown): string =>
    value === null || value === undefined
      ? '–'
      : field.is === 'number'
        ? say(value as number, field.quantity, units)
        : field.is === 'choice'
          ? (field.words?.[value as string] ?? String(value))
          : String(value)
  const rows = all.map((round, index) => {
    const read = (round.stations as unknown as Record<string, unknown>[]).map(station =>
      Object.entries(fields)
        .map(([key, field]) => cell(field, station[key]))
        .join(' / '),
    )
    const worst = rounds.worst(context, round)
    return [
      `Round ${index + 1}`,
      momentWords(round.startedAt),
      [
        read.join('; '),
        worst && `${rounds.worstWords}: ${say(worst.value, worst.quantity, units)}`,
        round.done && `Done before: ${round.done}`,
      ]
        .filter(Boolean)
        .join('. '),
    ]
  })
  return [{ on: 'record', title: rounds.about, rows, empty: 'None yet.' }]
}
