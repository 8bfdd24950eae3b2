import type { Axis } from '../../../document/axis'
import { type Check, inWords, type Judgement } from '../../../evaluation/check'
import type { State } from '../../../evaluation/finding'
import { type Round, SCREWS, type WhichScrew } from './model'
import { noAdvice } from './roundFinding'

// Two screws that drive one axis: each is read and set by itself, before they are squared and coupled.

const SCREW_WORDS: Readonly<Record<WhichScrew, string>> = { first: 'First screw', second: 'Second screw' }
const otherThan = (screw: WhichScrew): WhichScrew => (screw === 'first' ? 'second' : 'first')

const isOfOther = (row: unknown, screw: WhichScrew) =>
  typeof row === 'object' && row !== null && 'screw' in row && row.screw === otherThan(screw)

/** The axis with the rounds of one of its screws alone. */
export const axisOfScrew = <T extends Partial<Axis>>(axis: T, screw: WhichScrew): T =>
  Object.fromEntries(
    Object.entries(axis).map(([key, value]) => [
      key,
      Array.isArray(value) && value.some(row => isOfOther(row, screw))
        ? value.filter(row => !isOfOther(row, screw))
        : value,
    ]),
  ) as T

/** Rounds as if each screw had them: judged so, an axis of two screws says what those of one say. */
export const onBothScrews = <R extends Round>(rounds: readonly R[]): R[] =>
  rounds.flatMap(round => SCREWS.map(screw => ({ ...round, screw })))

const ORDER: readonly State[] = ['fails', 'unknown', 'close', 'holds']
const urgency = ({ state, use }: Judgement) => ORDER.indexOf(state) - Math.min(use ?? 0, 1e6) / 1e7

/**
 * Judges the rounds of each screw by themselves; of two, the worse is said, with the screw that it is of. One that has no
 * round yet is said too: half an axis is not in line.
 *
 * @param pick the rounds that are judged
 */
export const eachScrew =
  (pick: (axis: Axis) => readonly Round[], judge: Check['judge']): Check['judge'] =>
  (t, say) => {
    const rounds = pick(t.axis)
    if (t.axis.drive.screws !== 2 || rounds.length === 0) return judge(t, say)
    const judged = SCREWS.flatMap(screw => {
      if (!rounds.some(round => round.screw === screw)) return []
      const judgement = t.withAxis(
        axis => axisOfScrew(axis, screw),
        screw,
        of => {
          const found = judge(of, say)
          return found && { ...found, sentence: inWords(found) }
        },
      )
      return judgement ? [{ screw, judgement }] : []
    }).toSorted((a, b) => urgency(a.judgement) - urgency(b.judgement))
    const [worse, better] = judged
    if (!worse) return null
    const said = `${SCREW_WORDS[worse.screw]}: ${worse.judgement.sentence}`
    if (better && worse.judgement.state === 'holds')
      return {
        ...worse.judgement,
        sentence: `Both screws; of the ${worse.screw}: ${worse.judgement.sentence}`,
      }
    if (better)
      return {
        ...worse.judgement,
        sentence:
          better.judgement.state === 'holds'
            ? said
            : `${said} ${SCREW_WORDS[better.screw]}: ${better.judgement.sentence}`,
      }
    const unread = `The ${otherThan(worse.screw)} screw has no round yet: each is read by itself.`
    switch (worse.judgement.state) {
      case 'unknown':
        return { ...worse.judgement, sentence: said }
      case 'fails':
        return { ...worse.judgement, sentence: `${said} ${unread}` }
      default:
        return noAdvice(`${said} ${unread}`)
    }
  }

/** What was last done to one of the two screws after a moment; null where nothing was: then they stand as they were squared. */
export function doneSince(axis: Axis, at: string): string | null {
  const later = Object.values(axis).flatMap(value =>
    Array.isArray(value)
      ? value.filter((row): row is Round => isOfOther(row, 'first') || isOfOther(row, 'second'))
      : [],
  )
  return (
    later
      .filter(({ startedAt, done }) => done !== null && startedAt > at)
      .toSorted((a, b) => (a.startedAt < b.startedAt ? -1 : 1))
      .at(-1)?.done ?? null
  )
}
