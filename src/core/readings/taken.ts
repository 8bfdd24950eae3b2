import { map, plain } from '../field/field'

// When each reading of a table was taken: its order, and how long it took, which no table of places shows.

const LATEST_S = 1e9

/** Seconds after the start of a round or test at which each reading was taken, by row and column; none where nobody saw it typed. */
export const TAKEN = map(
  'Taken',
  plain('Seconds after the start', [0, LATEST_S], { unit: 's' }),
  /^\S{1,40} \w{1,40}( \d{1,4})?$/,
)
export type Taken = Record<string, number>

/** By what the time of a reading is kept. @example takenKey('a1', 'heightUm') // 'a1 heightUm' */
export const takenKey = (rowId: string, column: string, index?: number): string =>
  index === undefined ? `${rowId} ${column}` : `${rowId} ${column} ${index}`

/**
 * Notes that a reading was taken, or that it is gone. One that is mended where it stands keeps its time: who takes it anew
 * empties its cell before.
 *
 * @param of the round or test, changed in place
 * @param at the present moment; before the start, or on a clock put back, it counts as no earlier than the last
 */
export function noteTaken(
  of: { startedAt: string; taken: Taken },
  key: string,
  value: unknown,
  at: string,
): void {
  if (value === null || value === undefined) {
    delete of.taken[key]
    return
  }
  if (of.taken[key] !== undefined) return
  const latest = Math.max(0, ...Object.values(of.taken))
  const sinceS = Math.round((Date.parse(at) - Date.parse(of.startedAt)) / 1000)
  of.taken[key] = Number.isFinite(sinceS) ? Math.min(LATEST_S, Math.max(latest, sinceS)) : latest
}

/**
 * Things that were read, in the order in which they were: as the table stands where that is not known of each.
 *
 * @example inOrder([{ id: 'a' }, { id: 'b' }], one => one.id, { a: 9, b: 4 }).map(({ id }) => id) // ['b', 'a']
 */
export function inOrder<T>(all: readonly T[], keyOf: (one: T) => string, taken: Taken): T[] {
  const timed: { one: T; at: number }[] = []
  for (const one of all) {
    const at = taken[keyOf(one)]
    if (at === undefined) return [...all]
    timed.push({ one, at })
  }
  return timed.toSorted((a, b) => a.at - b.at).map(({ one }) => one)
}

/** Minutes from one reading to another; null where nobody knows. */
export function minutesBetween(taken: Taken, from: string, to: string): number | null {
  const [begun, ended] = [taken[from], taken[to]]
  return begun === undefined || ended === undefined ? null : Math.abs(ended - begun) / 60
}
