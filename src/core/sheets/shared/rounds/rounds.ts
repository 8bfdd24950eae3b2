import type { Axis } from '../../../document/axis'
import type { Edit } from '../../../document/edit'
import { onAxis } from '../../../document/edits'
import { LONGEST_LINE } from '../../../document/job'
import type { Shop } from '../../../document/shop'
import type { EvaluationContext } from '../../../evaluation/context'
import type { Measure } from '../../../evaluation/finding'
import { blankRow, choice, moment, momentOrNone, type RowsField, wordsOrNone } from '../../../field/field'
import type { Resolution } from './resolution'

// What every sheet of readings shares: rounds that are read, closed, kept and compared.

/** What every round has, besides what its own sheet reads. */
export const ROUND = {
  startedAt: moment('Started'),
  finishedAt: momentOrNone('Finished'),
  /** What was done since the round before: which screw was turned, which shim was put in. */
  done: wordsOrNone('What was done before it', 300),
}

/** Which screw of an axis; one that has one has the first. */
export const SCREWS = ['first', 'second'] as const
export type WhichScrew = (typeof SCREWS)[number]

/** What a round has that is read on a screw: where there are two, each is set by itself. */
export const ROUND_OF_SCREW = {
  ...ROUND,
  screw: choice('Which screw', SCREWS, { words: { first: 'the first', second: 'the second' } }),
}

/** A round of any sheet. */
export interface Round {
  id: string
  startedAt: string
  finishedAt: string | null
  done: string | null
  screw?: WhichScrew
  stations: { id: string }[]
}

/** A column of readings: by which step they are read, and what they should fit. */
export interface ReadColumn<R extends Round> {
  readonly key: string
  readonly step: (round: R) => number | null
  /** The column that says where each was taken. */
  readonly at?: string
  /** What each unknown of the shape that they follow is multiplied by; none where any shape may be. */
  readonly shape?: (station: Record<string, unknown>) => readonly number[]
  /** What one that lies far off the others may have met. */
  readonly perhaps?: string
}

/** The rounds of a sheet: where they stand, how one begins, and what they are compared by. */
export interface Rounds<R extends Round = Round> {
  /** What they are of, as labels of edits and lines of the log begin. */
  readonly about: string
  readonly of: RowsField<R>
  readonly pick: (axis: Axis) => R[]
  /** The part of an axis that holds just these rounds. */
  readonly only: (rounds: R[]) => Partial<Axis>
  /** What the first round begins with; those after it begin as the one before was set up. */
  readonly begin: (
    axis: Axis,
    shop: Shop,
  ) => Omit<Partial<R>, 'stations'> & { stations: Omit<R['stations'][number], 'id'>[] }
  /** The columns of its table that are read. */
  readonly columns?: readonly ReadColumn<R>[]
  /** What is observed of a round as a whole: not carried over to the next. */
  readonly reads?: readonly (keyof R & string)[]
  /** The figure that goes down from round to round; null while a round is unread. */
  readonly worst: (context: EvaluationContext, round: R) => Measure | null
  /** What its gauge can tell, and what counts; null while the gauge is not known. */
  readonly resolution?: (context: EvaluationContext, round: R) => Resolution | null
  /** What that figure is: "largest correction". */
  readonly worstWords: string
}

export const defineRounds = <R extends Round>(rounds: Rounds<R>): Rounds<R> => rounds

/** The field of the readings of a round. */
export const stationsOf = <R extends Round>({ of }: Rounds<R>): RowsField => of.of.stations as RowsField

/** Readings are what may be missing; places stand as they were spread. */
export const readingKeys = ({ of }: RowsField): string[] =>
  Object.entries(of).flatMap(([key, field]) => ('orNone' in field && field.orNone ? [key] : []))

/** The round that is worked on. */
export const lastRound = <R extends Round>({ pick }: Rounds<R>, axis: Axis): R | undefined =>
  pick(axis).at(-1)

/**
 * A new round: set up as the one before, with nothing read.
 *
 * @param newId makes an id
 * @param at the time at which it begins
 */
export function newRound<R extends Round>(
  rounds: Rounds<R>,
  axis: Axis,
  shop: Shop,
  newId: () => string,
  at: string,
): R {
  const before = lastRound(rounds, axis)
  const of = stationsOf(rounds)
  const unread = Object.fromEntries(readingKeys(of).map(key => [key, null]))
  const begun = rounds.begin(axis, shop)
  const places: object[] = before
    ? before.stations.map(station => ({ ...station, ...unread }))
    : begun.stations
  return {
    ...blankRow(rounds.of, newId(), (before ?? begun) as Partial<R>),
    id: newId(),
    startedAt: at,
    finishedAt: null,
    done: null,
    ...Object.fromEntries((rounds.reads ?? []).map(key => [key, null])),
    stations: places.map(place => blankRow(of, newId(), { ...place, id: undefined } as never)),
  } as R
}

/** Puts a new round behind those there are. */
export const startRound = <R extends Round>(rounds: Rounds<R>, axis: Axis, round: R): Edit =>
  onAxis(axis, `${rounds.about}, round ${rounds.pick(axis).length + 1}`, draft => {
    rounds.pick(draft).push(round)
  })

/** Sets fields of a round. */
export const changeRound = <R extends Round>(
  rounds: Rounds<R>,
  axis: Axis,
  roundId: string,
  change: Partial<R>,
  mergeKey?: string,
): Edit => {
  const [key = ''] = Object.keys(change)
  return onAxis(
    axis,
    `${rounds.of.of[key]?.label ?? rounds.about}, ${rounds.about.toLowerCase()}`,
    draft => Object.assign(rounds.pick(draft).find(({ id }) => id === roundId) ?? {}, change),
    { mergeKey },
  )
}

/** Closes a round; what it said goes to the log. */
export const finishRound = <R extends Round>(
  rounds: Rounds<R>,
  axis: Axis,
  roundId: string,
  at: string,
  summary: string,
): Edit =>
  onAxis(
    axis,
    `${rounds.about}, round closed`,
    draft => Object.assign(rounds.pick(draft).find(({ id }) => id === roundId) ?? {}, { finishedAt: at }),
    { entry: { axisId: axis.id, kind: 'round', text: summary.slice(0, LONGEST_LINE) } },
  )

export const removeRound = <R extends Round>(rounds: Rounds<R>, axis: Axis, roundId: string): Edit =>
  onAxis(axis, `${rounds.about}, round deleted`, draft => {
    const all = rounds.pick(draft)
    const place = all.findIndex(({ id }) => id === roundId)
    if (place >= 0) all.splice(place, 1)
  })

/** So much more than before is worse, not a reading that fell out otherwise. */
const WORSE = 1.1

/** Whether a round came out worse than the one before it. */
export const wentWorse = (before: Measure | null | undefined, now: Measure | null): boolean =>
  !!before && !!now && Math.abs(now.value) > WORSE * Math.abs(before.value)
