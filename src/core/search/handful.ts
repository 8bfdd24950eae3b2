import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import type { UnitSystem } from '../units/quantity'
import { bestHolding } from './best'
import { changesFrom, type DriveChange, keptSlots } from './changes'
import type { DrivePoint, Field } from './field'
import { holdsFarEnd, type RestsOn, restsOn, supportWords } from './restsOn'
import { changedSlots, type DriveSlot } from './slots'

/** What a drive of the handful is the best at: each another kind of drive. */
export const PICKS = [
  'cheapest',
  'far end held',
  'a quarter in hand',
  'stiffest for twice the price',
  'least lost motion for twice the price',
  'lowest',
  'nearest to today',
] as const
export type Pick = (typeof PICKS)[number]

/** A drive that is worth a first look, and why. */
export interface Handpicked {
  picks: Pick[]
  point: DrivePoint
  /** What its figures rest on, and is not so yet. */
  rests: RestsOn[]
  /** What the support of its far end buys and costs, where it has one. */
  support: string | null
  /** What of today's drive it changes; null while no whole drive is chosen today. */
  changes: DriveSlot[] | null
}

/** What holds with this margin has a quarter more in every check than it needs: friction and cut are seldom as they were taken. */
const IN_HAND = 1.25
/** Sums in another order may differ by so much. */
const SUMS = 1e-9
/** The stiffest drive of any list is its largest: more than so many times the cheapest one's price nobody gives for it. */
const MOST_TIMES_CHEAPEST = 2

/** So many things of a drive may be changed until another is as near. */
const MOST_CHANGES = 3

/**
 * The drive that holds with the fewest changes of today's, and of those the one that costs least to change to.
 *
 * @returns null where no whole drive is chosen today, or where none holds with a few changes
 */
export function nearestToToday(field: Field, axis: Axis): DriveChange | null {
  for (let count = 0; count <= MOST_CHANGES; count++) {
    const found = changesFrom(field, axis, count, { least: 'price', margin: 1 })
    if (found === null) return null
    if (found[0]) return found[0]
  }
  return null
}

const leastOf = (points: readonly DrivePoint[], merit: (point: DrivePoint) => number): DrivePoint | null =>
  points.reduce<DrivePoint | null>(
    (best, point) =>
      best === null ||
      merit(point) < merit(best) ||
      (merit(point) === merit(best) && point.priceEur < best.priceEur)
        ? point
        : best,
    null,
  )

/**
 * A handful of drives that differ in kind: the cheapest, the cheapest with its far end held where one holds, the cheapest with
 * a quarter in hand in every check (its far end held, if one is), the stiffest and the one that loses least motion for at most
 * twice what the cheapest costs, the lowest, and what is nearest to today's choice. Only drives that hold count, where any does.
 *
 * @param points that nothing beats, of a search of the field
 * @returns at most one drive for each pick, each once with all that it is best at
 */
export function picksOf(field: Field, axis: Axis, points: readonly DrivePoint[]): Map<DrivePoint, Pick[]> {
  const holding = points.filter(({ margin }) => margin >= 1)
  const eligible = holding.length > 0 ? holding : points
  const held = { ...field, screws: field.screws.filter(({ ends }) => holdsFarEnd(ends)) }
  const some = holding.length > 0
  const cheapest = leastOf(eligible, ({ priceEur }) => priceEur)
  const mostPriceEur = Math.min(field.within.mostPriceEur, MOST_TIMES_CHEAPEST * (cheapest?.priceEur ?? 0))
  const affordable = eligible.filter(({ priceEur }) => priceEur <= mostPriceEur)
  /** The cheapest with this margin and its far end held; one that nothing beats may be known, and costs at least as much. */
  const cheapestHeld = (margin: number) => {
    const known = points.filter(point => point.margin >= margin && holdsFarEnd(point.ends))
    const atMost = Math.min(...known.map(({ priceEur }) => priceEur)) * (1 + SUMS)
    return bestHolding(held, { least: 'price', margin, atMost })
  }
  const best: Record<Pick, DrivePoint | null> = {
    cheapest,
    'far end held': some ? cheapestHeld(1) : null,
    'a quarter in hand': some
      ? (cheapestHeld(IN_HAND) ?? bestHolding(field, { least: 'price', margin: IN_HAND }))
      : null,
    'stiffest for twice the price': some
      ? bestHolding({ ...field, within: { ...field.within, mostPriceEur } }, { least: 'give', margin: 1 })
      : null,
    'least lost motion for twice the price': leastOf(affordable, ({ lostMotionUm }) => lostMotionUm),
    lowest: leastOf(eligible, ({ heightMm }) => heightMm),
    'nearest to today': some ? (nearestToToday(field, axis)?.point ?? null) : null,
  }
  const byDrive = new Map<string, { point: DrivePoint; picks: Pick[] }>()
  for (const pick of PICKS) {
    const point = best[pick]
    if (!point) continue
    const { screw, ends, bearing, coupler, belt, motor } = point
    const key = [screw, ends, bearing, coupler, belt, motor].join()
    const known = byDrive.get(key) ?? { point, picks: [] }
    byDrive.set(key, { point: known.point, picks: [...known.picks, pick] })
  }
  return new Map([...byDrive.values()].map(({ point, picks }) => [point, picks]))
}

/** The handful, each with what it rests on, what the support of its far end buys, and what of today's drive it changes. */
export const handfulOf = (
  field: Field,
  axis: Axis,
  catalogue: Catalogue,
  points: readonly DrivePoint[],
  units: UnitSystem,
): Handpicked[] =>
  [...picksOf(field, axis, points)].map(([point, picks]) => ({
    picks,
    point,
    rests: restsOn(axis, catalogue, point, units),
    support: holdsFarEnd(point.ends) ? supportWords(axis, catalogue, point, units) : null,
    changes: keptSlots(axis) ? changedSlots(axis, point) : null,
  }))
