import { attempt } from '../../../evaluation/attempt'
import type { Judgement, Say } from '../../../evaluation/check'
import type { EvaluationContext } from '../../../evaluation/context'
import { minutesBetween, takenKey } from '../../../readings/taken'
import type { Round } from './model'
import { noAdvice } from './roundFinding'
import type { Rounds } from './rounds'

// The closing reading: the first place once more, at the end of a table whose places are read once. Nothing else tells a base
// that creeps, or a gauge that was touched, from what is measured.

type Station = { id: string; [key: string]: unknown }
type Closes<R extends Round> = Pick<Rounds<R>, 'closes'>
const FULL_TURN_DEG = 360
const placeOf = (key: string, station: Station): number | null => {
  const value = station[key]
  if (typeof value !== 'number') return null
  return key === 'angleDeg' ? value % FULL_TURN_DEG : value
}

/** The row that reads the first place again; null where a table has none. */
function closingOf<R extends Round>(rounds: Closes<R>, round: R): { first: Station; again: Station } | null {
  const key = rounds.closes?.(round)
  const [first, ...rest] = round.stations as Station[]
  if (!key || !first) return null
  const again = rest.findLast(one => placeOf(key, one) !== null && placeOf(key, one) === placeOf(key, first))
  return again && rest.length > 1 ? { first, again } : null
}

/** What is read along or around, without the first place again. */
export function openStations<R extends Round>(rounds: Closes<R>, round: R): R['stations'] {
  const again = closingOf(rounds, round)?.again
  return again ? round.stations.filter(({ id }) => id !== again.id) : round.stations
}

/** A table with its first place once more at its end, where it has none; readings of it are not taken over. */
export function closed<R extends Round>(
  rounds: Closes<R>,
  round: R,
  unread: Partial<R['stations'][number]>,
  newId: () => string,
): R {
  const [first] = round.stations
  return !first || !rounds.closes?.(round) || closingOf(rounds, round)
    ? round
    : { ...round, stations: [...round.stations, { ...first, ...unread, id: newId() }] }
}

/** By hand a dial does not come to the same mark: so many steps, and so many micrometres at least, say nothing. */
const STEPS = 2
const LEAST_UM = 3
/** What moved by so much of what counts decides no verdict. */
const SHARE = 1 / 4

/** What the first place, read again, says of a column; null while it was not read, or cannot be. */
interface Moved {
  movedUm: number
  /** How long after the first it was read; null where nobody knows. */
  minutes: number | null
  matters: boolean
}
const movedIn = <R extends Round>(
  t: EvaluationContext,
  rounds: Rounds<R>,
  round: R,
  column?: string | null,
): readonly (Moved | 'unread')[] => {
  const closing = closingOf(rounds, round)
  if (!closing) return []
  const countsUm = attempt(() => rounds.resolution?.(t, round)).value?.countsUm ?? 0
  return (rounds.columns ?? []).flatMap(({ key, step }): (Moved | 'unread')[] => {
    const [first, again] = [closing.first[key], closing.again[key]]
    if ((column && key !== column) || typeof first !== 'number') return []
    if (typeof again !== 'number') return ['unread']
    const movedUm = again - first
    const allowedUm = Math.max(STEPS * (step(round) ?? 0), LEAST_UM, SHARE * countsUm)
    const at = (id: string) => takenKey(id, key)
    const minutes = minutesBetween(round.taken, at(closing.first.id), at(closing.again.id))
    return [{ movedUm, minutes, matters: Math.abs(movedUm) > allowedUm }]
  })
}

/** Cells of the row that reads the first place again, and what is said at them: while it is not read, or moved. */
export function closingNotes<R extends Round>(
  t: EvaluationContext,
  rounds: Rounds<R>,
  round: R,
): Record<string, string> {
  const closing = closingOf(rounds, round)
  if (!closing) return {}
  const columns = (rounds.columns ?? []).map(({ key }) => key)
  return Object.fromEntries(
    columns.flatMap(key => {
      const at = `${closing.again.id} ${key}`
      if (typeof closing.again[key] !== 'number') return [[at, 'the first place again: has the base moved?']]
      const [one] = movedIn(t, rounds, round, key)
      return one && one !== 'unread' && one.matters ? [[at, 'moved: clamp it anew, read all again']] : []
    }),
  )
}

/**
 * What a verdict is worth by the first place read again: asked for before anything is turned; a verdict that a moved base
 * may have made is none; else it says how well the base stood.
 *
 * @param said what the readings come to by themselves
 * @param column the one that the verdict rests on, where it is one
 */
export function bySteadyBase<R extends Round>(
  t: EvaluationContext,
  rounds: Rounds<R>,
  round: R,
  said: Judgement,
  say: Say,
  column?: string | null,
): Judgement {
  const all = movedIn(t, rounds, round, column)
  const small = (um: number) => say(Math.abs(um), 'smallLength')
  const read = all.filter(one => one !== 'unread')
  const worst = read.reduce<Moved | null>(
    (most, one) => (most && Math.abs(most.movedUm) >= Math.abs(one.movedUm) ? most : one),
    null,
  )
  if (worst?.matters)
    return noAdvice(
      `The first place reads ${small(worst.movedUm)} ${worst.movedUm > 0 ? 'more' : 'less'} at the end than at the start${worst.minutes !== null && worst.minutes >= 1 ? `, ${say(worst.minutes, 'ratio', 0)} minutes later` : ''}: the base crept, or the gauge or what it stands on was touched. Clamp it anew and read all again; by these readings nothing is turned.`,
    )
  if (said.state === 'unknown' || all.length === 0) return said
  if (all.includes('unread'))
    return noAdvice(
      'Read the first place once more, in the last row: it tells whether the base or the gauge has moved. Nothing is turned before.',
    )
  const { sentence } = said
  const stood = ` The first place read again lies ${small(worst?.movedUm ?? 0)} off: the base stood.`
  return { ...said, sentence: typeof sentence === 'string' ? sentence + stood : () => sentence() + stood }
}
