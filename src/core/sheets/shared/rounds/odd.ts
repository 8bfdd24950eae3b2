import { radians } from '../../../calculation/constants'
import type { Judgement, Say } from '../../../evaluation/check'
import type { NumberField } from '../../../field/field'
import { finerThanGauge, offTheFit } from '../../../readings/plausible'
import { noAdvice } from './roundFinding'
import { type ReadColumn, type Round, type Rounds, stationsOf } from './rounds'

/** Why a reading cannot be as it stands. */
export type Why = 'finer' | 'off' | 'swapped'

/** A reading that cannot be as it stands, by its place in the table. */
export interface Odd {
  rowId: string
  index: number
  key: string
  why: Why
  /** Which place it was taken at, and what was read. */
  at: number | null
  reading: number
}

/** What stands at its cell, in as few words as a cell has room for. */
export const ODD_WORDS: Readonly<Record<Why, string>> = {
  finer: 'finer than the gauge: another unit?',
  off: 'far off the others: read it again',
  swapped: 'columns swapped?',
}

type Station = { id: string; [key: string]: unknown }
const numberIn = (station: Station, key: string): number | null => {
  const value = station[key]
  return typeof value === 'number' ? value : null
}

const goesOneWay = (values: readonly number[]): boolean => {
  const steps = values.slice(1).map((value, index) => value - (values[index] as number))
  return steps.every(step => step > 0) || steps.every(step => step < 0)
}
/** Whether values go on in even steps, as places are laid out. */
const isLadder = (values: readonly number[]): boolean => {
  const first = (values[1] ?? 0) - (values[0] ?? 0)
  return (
    goesOneWay(values) &&
    values.slice(1).every((value, index) => Math.abs(value - (values[index] as number) - first) < 1e-6)
  )
}
/** Fewer than these go in even steps by chance. */
const FEWEST_SWAPPED = 4

/**
 * The readings of a round that cannot be as they stand, one for each column: nothing is left out by itself.
 *
 * Finer than its gauge can show: typed in another unit. Far off what fits all the others: a slip, or a burr. Even steps in
 * the readings where the places go to and fro: the two columns are swapped.
 */
export const oddReadings = <R extends Round>({ columns = [] }: Rounds<R>, round: R): Odd[] =>
  columns.flatMap(column => oddIn(column, round) ?? [])

function oddIn<R extends Round>({ key, step, at, shape }: ReadColumn<R>, round: R): Odd | null {
  const read = (round.stations as Station[]).flatMap((station, index) => {
    const reading = numberIn(station, key)
    return reading === null
      ? []
      : [{ rowId: station.id, index, key, reading, at: at ? numberIn(station, at) : null, station }]
  })
  const odd = (index: number, why: Why): Odd => {
    const { station: _, ...one } = read[index] as (typeof read)[number]
    return { ...one, why }
  }
  const stepOf = step(round)
  const fine = read.findIndex(({ reading }) => stepOf !== null && finerThanGauge(reading, stepOf))
  if (fine >= 0) return odd(fine, 'finer')
  const places = read.flatMap(one => one.at ?? [])
  const readings = read.map(({ reading }) => reading)
  if (places.length >= FEWEST_SWAPPED && !goesOneWay(places) && isLadder(readings)) return odd(0, 'swapped')
  const off =
    shape &&
    offTheFit(
      read.map(({ station }) => shape(station)),
      readings,
      stepOf ?? 0,
    )
  return off == null ? null : odd(off, 'off')
}

/**
 * The first odd reading of a round in words: it stops the advice until it is read again.
 *
 * @param inColumn the column that the advice rests on, where it is one
 */
export function oddAdvice<R extends Round>(
  rounds: Rounds<R>,
  round: R,
  say: Say,
  inColumn?: string,
): Judgement | null {
  const odd = oddReadings(rounds, round).find(({ key }) => inColumn === undefined || key === inColumn)
  if (!odd) return null
  const fields = stationsOf(rounds).of as Record<string, NumberField>
  const { label, quantity } = fields[odd.key] as NumberField
  const { at: place, perhaps = 'a slip' } = rounds.columns?.find(({ key }) => key === odd.key) ?? {}
  const where =
    place && odd.at !== null
      ? `at ${say(odd.at, (fields[place] as NumberField).quantity)}`
      : `of ${stationsOf(rounds).label.toLowerCase()} ${odd.index + 1}`
  const what = `${label} ${where}, ${say(odd.reading, quantity)}`
  switch (odd.why) {
    case 'finer':
      return noAdvice(`${what}, is finer than the gauge can show: was it typed in another unit?`)
    case 'off':
      return noAdvice(`${what}, lies far off the others: ${perhaps}. Read it again.`)
    case 'swapped':
      return noAdvice(
        `${label} goes in even steps, and ${(fields[place as string]?.label ?? 'the place').toLowerCase()} to and fro: were the two typed in each other’s column?`,
      )
  }
}

/** The shape of readings round a turn: a level, and a wave once a turn. */
export const onceRound = (key: string) => (station: Record<string, unknown>) => {
  const angle = radians(station[key] as number)
  return [1, Math.cos(angle), Math.sin(angle)]
}
/** The shape of readings along something: a straight line. */
export const straight = (key: string) => (station: Record<string, unknown>) => [1, station[key] as number]
