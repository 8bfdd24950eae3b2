import type { Axis } from '../../../document/axis'
import type { Edit } from '../../../document/edit'
import { onAxis } from '../../../document/edits'
import { LONGEST_LINE } from '../../../document/job'
import type { Catalogue } from '../../../document/parts/types'
import type { Shop } from '../../../document/shop'
import { touch } from '../../../document/touched'
import type { EvaluationContext } from '../../../evaluation/context'
import type { Finding, Measure } from '../../../evaluation/finding'
import { blankRecord, blankRow, type RowsField } from '../../../field/field'
import { noteTaken, takenKey } from '../../../readings/taken'
import { closed } from './closing'
import { type ClosedWith, ROUND, type Round } from './model'
import type { Resolution } from './resolution'

// What every sheet of readings shares: rounds that are read, closed, kept and compared.

/** A column of readings: by which step they are read, and what they should fit. */
export interface ReadColumn<R extends Round> {
  readonly key: string
  readonly step: (round: R) => number | null
  /** The column that says where each was taken. */
  readonly at?: string
  /** What each unknown of the shape that they follow is multiplied by; none where any shape may be. */
  readonly shape?: (station: Record<string, unknown>) => readonly number[]
  /** Columns that read about the same in one row: with them, ten times what is read beside it is a slip of a digit. */
  readonly beside?: readonly string[]
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
    catalogue?: Catalogue,
  ) => Omit<Partial<R>, 'stations'> & { stations: Omit<R['stations'][number], 'id'>[] }
  /** The columns of its table that are read. */
  readonly columns?: readonly ReadColumn<R>[]
  /** The column of its places, where each is read once: the first is read again as the last; null where that says nothing. */
  readonly closes?: (round: R) => string | null
  /** What it orders hangs on the sign of its readings: which way the dial goes is asked before anything is turned. */
  readonly signed?: (round: R) => boolean
  /** Its columns are read together, row by row, and not one after the other. */
  readonly across?: true
  /** What is observed of a round as a whole: not carried over to the next. */
  readonly reads?: readonly (keyof R & string)[]
  /** The figure that goes down from round to round; null while a round is unread. */
  readonly worst: (context: EvaluationContext, round: R) => Measure | null
  /** What its gauge can tell, and what counts; null while the gauge is not known. */
  readonly resolution?: (context: EvaluationContext, round: R) => Resolution | null
  /** It proves the axis as it is: what was read before the last change of anything proves nothing. */
  readonly proves?: true
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
 * @param catalogue where places follow from the chosen parts; usual ones where it is left out
 */
export function newRound<R extends Round>(
  rounds: Rounds<R>,
  axis: Axis,
  shop: Shop,
  newId: () => string,
  at: string,
  catalogue?: Catalogue,
): R {
  const before = lastRound(rounds, axis)
  const of = stationsOf(rounds)
  const unread = Object.fromEntries(readingKeys(of).map(key => [key, null]))
  const begun = rounds.begin(axis, shop, catalogue)
  const places: object[] = before
    ? before.stations.map(station => ({ ...station, ...unread }))
    : begun.stations
  const round = {
    ...blankRow(rounds.of, newId(), (before ?? begun) as Partial<R>),
    id: newId(),
    ...blankRecord(ROUND),
    startedAt: at,
    ...Object.fromEntries((rounds.reads ?? []).map(key => [key, null])),
    stations: places.map(place => blankRow(of, newId(), { ...place, id: undefined } as never)),
  } as R
  return closed(rounds, round, unread as Partial<R['stations'][number]>, newId)
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
    draft => {
      const round = rounds.pick(draft).find(({ id }) => id === roundId)
      if (!round) return
      Object.assign(round, change)
      // What was done to the machine came before the round that was read after it.
      if (change.done) touch(draft, round.startedAt, change.done)
    },
    { mergeKey },
  )
}

/** What a column of readings is moved by: one place on, for one that was left out, or one back, for one typed twice. */
export type ColumnMove = 'on' | 'back'

/**
 * The readings of a column moved by one place from a row on; null where one would fall off or be typed over.
 *
 * @example movedColumn([1, 2, null], 0, 'on') // [null, 1, 2]
 */
export function movedColumn(
  values: readonly (number | null)[],
  from: number,
  move: ColumnMove,
): (number | null)[] | null {
  if (move === 'on')
    return values.at(-1) !== null ? null : [...values.slice(0, from), null, ...values.slice(from, -1)]
  return values[from] !== null ? null : [...values.slice(0, from), ...values.slice(from + 1), null]
}

/** Moves a column of the last round, where nothing is lost by it. */
export const moveColumn = <R extends Round>(
  rounds: Rounds<R>,
  axis: Axis,
  key: string,
  from: number,
  move: ColumnMove,
): Edit =>
  onAxis(axis, `${stationsOf(rounds).of[key]?.label ?? key} moved one place ${move}`, (draft, at) => {
    const round = lastRound(rounds, draft)
    const stations = (round?.stations ?? []) as { id: string; [key: string]: unknown }[]
    const moved = movedColumn(
      stations.map(station => station[key] as number | null),
      from,
      move,
    )
    if (!round || !moved) return
    for (const [index, station] of stations.entries()) {
      station[key] = moved[index]
      noteReadings(rounds, round, station.id, { [key]: moved[index] }, at)
    }
  })

/** Turns the sign of every reading of the last round over: its dial showed less as its tip was pushed in. */
export const turnSigns = <R extends Round>(rounds: Rounds<R>, axis: Axis): Edit =>
  onAxis(axis, `${rounds.about}: every sign turned over`, draft => {
    const round = lastRound(rounds, draft)
    if (!round) return
    const read = [...(rounds.columns ?? []).map(({ key }) => key), ...(rounds.reads ?? [])]
    const turn = (of: Record<string, unknown>) => {
      for (const key of read) if (typeof of[key] === 'number') of[key] = -(of[key] as number) || 0
    }
    turn(round as unknown as Record<string, unknown>)
    for (const station of round.stations) turn(station as unknown as Record<string, unknown>)
    Object.assign(round, { tipLifted: 'more' })
  })

/** Closes a round; what it said goes to the log, and it keeps what it came to. */
export const finishRound = <R extends Round>(
  rounds: Rounds<R>,
  axis: Axis,
  roundId: string,
  at: string,
  summary: string,
  closedWith: ClosedWith | null,
): Edit =>
  onAxis(
    axis,
    `${rounds.about}, round closed`,
    draft =>
      Object.assign(rounds.pick(draft).find(({ id }) => id === roundId) ?? {}, {
        finishedAt: at,
        closedWith,
      }),
    { entry: { axisId: axis.id, kind: 'round', text: summary.slice(0, LONGEST_LINE) } },
  )

export const removeRound = <R extends Round>(rounds: Rounds<R>, axis: Axis, roundId: string): Edit =>
  onAxis(axis, `${rounds.about}, round deleted`, draft => {
    const all = rounds.pick(draft)
    const place = all.findIndex(({ id }) => id === roundId)
    if (place >= 0) all.splice(place, 1)
  })

/** What a round comes to now, for its closing. */
export function closingWith<R extends Round>(
  rounds: Rounds<R>,
  context: EvaluationContext,
  round: R,
  findings: readonly Finding[],
): ClosedWith {
  const worst = rounds.worst(context, round)
  return {
    worst: worst?.value ?? null,
    quantity: worst?.quantity ?? 'smallLength',
    states: Object.fromEntries(findings.map(({ checkId, state }) => [checkId, state])),
  }
}

/** What a round came to: when it was closed, or while it is open, now. */
export function cameTo<R extends Round>(
  rounds: Rounds<R>,
  context: EvaluationContext,
  round: R,
): Measure | null {
  const { closedWith } = round
  if (closedWith === null) return rounds.worst(context, round)
  return closedWith.worst === null ? null : { value: closedWith.worst, quantity: closedWith.quantity }
}

/** Notes the readings of a row of a round that were put in or taken out; what is no reading has no time. */
export function noteReadings<R extends Round>(
  rounds: Rounds<R>,
  round: R,
  rowId: string,
  part: Readonly<Record<string, unknown>>,
  at: string,
): void {
  const read = readingKeys(stationsOf(rounds))
  for (const [key, value] of Object.entries(part))
    if (read.includes(key)) noteTaken(round, takenKey(rowId, key), value, at)
}

/** So much more than before is worse, not a reading that fell out otherwise. */
const WORSE = 1.1

/** Whether a round came out worse than the one before it. */
export const wentWorse = (before: Measure | null | undefined, now: Measure | null): boolean =>
  !!before && !!now && Math.abs(now.value) > WORSE * Math.abs(before.value)
