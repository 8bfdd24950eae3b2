import { radians } from '../../../calculation/constants'
import type { Judgement, Say } from '../../../evaluation/check'
import type { NumberField } from '../../../field/field'
import { finerThanGauge, finerThanMarks, offTheFit } from '../../../readings/plausible'
import { openStations } from './closing'
import type { Round } from './model'
import { noAdvice } from './roundFinding'
import { type ReadColumn, type Rounds, stationsOf } from './rounds'

/** Why a reading cannot be as it stands. */
export type Why = 'finer' | 'beside' | 'off' | 'swapped' | 'digit'

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
  beside: 'between all marks: another unit?',
  off: 'far off the others: read it again',
  swapped: 'columns swapped?',
  digit: 'ten times its like: a digit?',
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
/** Small lengths that were reckoned are rounded to whole micrometres, or to hundredths of a thou. */
const ROUND_UM = [1, 0.254]
/** Fewer than these go in even steps by chance. */
const FEWEST_SWAPPED = 4

/**
 * The readings of a round that cannot be as they stand, one for each column: nothing is left out by itself.
 *
 * Finer than its gauge can show, or between its marks: typed in another unit. Far off what fits all the others: a slip, or a burr. Even steps in
 * the readings where the places go to and fro: the two columns are swapped.
 */
export const oddReadings = <R extends Round>(rounds: Rounds<R>, round: R): Odd[] => {
  // The first place again is held against the first, not against the line of them all.
  const open = openStations(rounds, round)
  const fields = stationsOf(rounds).of as Record<string, NumberField>
  return (rounds.columns ?? []).flatMap(column => {
    // Pulls and torques are reckoned from too many units to have round figures.
    const rounded = fields[column.key]?.quantity === 'smallLength' ? ROUND_UM : null
    return oddIn(column, rounded, round, open) ?? []
  })
}

function oddIn<R extends Round>(
  { key, step, at, shape, beside }: ReadColumn<R>,
  rounded: readonly number[] | null,
  round: R,
  open: readonly { id: string }[],
): Odd | null {
  const read = (round.stations as Station[]).flatMap((station, index) => {
    const reading = open.some(({ id }) => id === station.id) ? numberIn(station, key) : null
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
  if (
    stepOf !== null &&
    rounded !== null &&
    finerThanMarks(
      read.map(({ reading }) => reading),
      stepOf,
      rounded,
    )
  )
    return odd(0, 'beside')
  const places = read.flatMap(one => one.at ?? [])
  const readings = read.map(({ reading }) => reading)
  if (places.length >= FEWEST_SWAPPED && !goesOneWay(places) && isLadder(readings)) return odd(0, 'swapped')
  const digit = beside ? slippedDigit(read, beside) : null
  if (digit !== null) return odd(digit, 'digit')
  const off =
    shape &&
    offTheFit(
      read.map(({ station }) => shape(station)),
      readings,
      stepOf ?? 0,
    )
  return off == null ? null : odd(off, 'off')
}

/** Ten times its like, or a tenth of it, to this share. */
const NEAR_TEN = 0.35
/** Two that were read at one place agree to this share of the larger. */
const AGREE = 0.3

/**
 * A reading that is ten times what is read beside it, or a tenth of it: in the rows next to it, and in the other columns of its
 * own row. One that was read twice at its place, and alike, stands.
 */
function slippedDigit(
  read: readonly { reading: number; at: number | null; station: Station }[],
  besides: readonly string[],
): number | null {
  const inOrder = read
    .map((one, index) => ({ ...one, index }))
    .toSorted((a, b) => (a.at ?? a.index) - (b.at ?? b.index))
  for (const [place, { reading, at, station, index }] of inOrder.entries()) {
    const again = read.some(
      (other, which) =>
        which !== index &&
        other.at === at &&
        Math.abs(other.reading - reading) <= AGREE * Math.max(Math.abs(reading), Math.abs(other.reading)),
    )
    const [before, after] = [inOrder[place - 1]?.reading, inOrder[place + 1]?.reading]
    // At either end of the table the two next to it stand on one side.
    const next = [
      before ?? inOrder[place + 2]?.reading,
      after ?? inOrder[place - 2]?.reading,
      ...besides.map(key => numberIn(station, key)),
    ].flatMap(one => (one === null || one === undefined ? [] : [Math.abs(one)]))
    if (again || next.length < 2) continue
    const [least, most] = [Math.min(...next), Math.max(...next)]
    const times = Math.abs(reading) / ((least + most) / 2)
    const isTen =
      Math.abs(times / 10 - 1) < NEAR_TEN || (times > 0 && Math.abs(1 / times / 10 - 1) < NEAR_TEN)
    if (isTen && least > 0 && most <= 2 * least) return index
  }
  return null
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
    case 'beside':
      return noAdvice(
        `${label}: half of these readings lie between all marks of the gauge, such as ${what}. Were they typed in another unit, or is its step another?`,
      )
    case 'off':
      return noAdvice(`${what}, lies far off the others: ${perhaps}. Read it again.`)
    case 'digit':
      return noAdvice(
        `${what}, is about ten times, or a tenth of, what is read beside it: was a digit or a point slipped? Read it again; if it stays, put it in once more, as another row at the same place.`,
      )
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
